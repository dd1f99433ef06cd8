export * from "./people";
export * from "./passages";
export * from "./pieces";
export * from "./projections";
export * from "./record";
export { PIECE_KINDS, type Passage, type Person, type Piece, type Studio } from "./rows";
export * from "./sessions";
export * from "./studios";
