export {
  GATE_KINDS,
  gateProgress,
  gateSchema,
  type Gate,
  type GateKind,
  type GateProgress,
  type Verdict,
} from "./gate";
export { gateCost, type GateCost } from "./cost";
