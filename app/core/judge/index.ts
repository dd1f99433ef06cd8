export { needsALook, type Look, type PassageTrend, type StudentFacts } from "./needs-a-look";
