export { gateSchema, RULE_KINDS, type Gate, type Rule, type RuleKind, type Verdict } from "./gate";
export { gateProgress, type GateProgress, type JudgedPlay, type RuleProgress } from "./progress";
export { gateCost, roughPlays, type GateCost } from "./cost";
