import AxeBuilder from "@axe-core/playwright";
import type { Page } from "@playwright/test";

/**
 * Axe on a page as it is now. No page of ours has frames: without them it needs no second page to
 * put its findings together, which took as long as the finding. Style sheets are not read ahead: axe would write one into drawings.
 */
export const axeOn = (page: Page) =>
  new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ["violations"], preload: false });
