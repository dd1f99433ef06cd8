export { gateSchema, goesBack, isByClock, type Gate } from "./gate";
export { firstRule, RULE_KINDS, type Rule, type RuleKind } from "./registry";
export type { GateCost, JudgedPlay, Verdict } from "./rule";
export { gateProgress, gateRun, type GateProgress, type RuleProgress } from "./progress";
export { gateCost, roughPlays } from "./cost";
