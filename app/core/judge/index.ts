export {
  needsALook,
  TREND_DAYS,
  type Look,
  type PassageTrend,
  type StudentFacts,
} from "./needs-a-look";
export { worthAMark, type Mark, type PassageAfter } from "./worth-a-mark";
