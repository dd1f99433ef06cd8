import type { Services } from "~/server/services";

export async function seedDemo(_services: Services): Promise<void> {}
