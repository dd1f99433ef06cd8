import type { Services } from "../services";
import { weekPage } from "./student-week";

/** The week as its page shows it; passages stay behind. */
export async function weekView(services: Services, studioId: string, personId: string) {
  const { passages: _, ...page } = await weekPage(services, studioId, personId);
  return page;
}
