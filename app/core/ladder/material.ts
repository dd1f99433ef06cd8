import type { Rung } from "./rung";

/**
 * What a rung is practice of, as a name that is the same from day to day: the bars, the link of a
 * chain, the task or the key that is played. What was passed on one material says nothing
 * of another.
 */
export function materialOf(
  { links, stage, task }: Pick<Rung, "links" | "stage" | "task">,
  { fromBar, toBar }: { readonly fromBar: number; readonly toBar: number },
): string {
  const link = links ? `, link ${stage + 1}` : "";
  const layer = task?.kind === "layer" || task?.kind === "key" ? `, ${task.name}` : "";
  return `${fromBar}-${toBar}${link}${layer}`;
}
