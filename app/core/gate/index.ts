export {
  GATE_KINDS,
  gateProgress,
  gateSchema,
  type Gate,
  type GateKind,
  type GateProgress,
  type Verdict,
} from "./gate";
export { gateCost, OUT_OF_REACH_PLAYS, type GateCost } from "./cost";
