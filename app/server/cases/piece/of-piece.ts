/** A piece as it lies on a student's stand. */
export interface OfPiece {
  readonly studioId: string;
  readonly personId: string;
  readonly pieceId: string;
}
