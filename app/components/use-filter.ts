import { useEffect, useEffectEvent } from "react";
import { useForm, type Control, type DefaultValues, type FieldValues } from "react-hook-form";
import { useLocation, useNavigationType } from "react-router";

/** Until somebody has stopped typing. */
const PAUSE_MS = 250;

const same = (a: FieldValues, b: FieldValues): boolean =>
  Object.keys(b).every((name) => a[name] === b[name]);

/**
 * Fields that ask for a part of a list by themselves, a moment after they were changed; going back
 * and forward they show what the address asks for.
 */
export function useFilter<T extends FieldValues>(asked: T, onAsk: (asked: T) => void): Control<T> {
  const { control, subscribe, reset } = useForm<T>({ defaultValues: asked as DefaultValues<T> });
  const ask = useEffectEvent((values: T) => {
    if (!same(values, asked)) onAsk(values);
  });
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout>;
    const stop = subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        clearTimeout(waiting);
        waiting = setTimeout(() => ask(values), PAUSE_MS);
      },
    });
    return () => {
      clearTimeout(waiting);
      stop();
    };
  }, [subscribe]);
  const { key } = useLocation();
  const gone = useNavigationType() === "POP";
  const follow = useEffectEvent(() => {
    if (gone) reset(asked);
  });
  useEffect(() => follow(), [key]);
  return control;
}
