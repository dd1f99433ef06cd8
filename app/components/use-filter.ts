import { useEffect, useRef } from "react";
import { useForm, type Control, type DefaultValues, type FieldValues } from "react-hook-form";

/** Until somebody has stopped typing. */
const PAUSE_MS = 250;

/** Fields that ask for a part of a list by themselves, a moment after they were changed. */
export function useFilter<T extends FieldValues>(asked: T, onAsk: (asked: T) => void): Control<T> {
  const { control, subscribe } = useForm<T>({ defaultValues: asked as DefaultValues<T> });
  const ask = useRef(onAsk);
  useEffect(() => {
    ask.current = onAsk;
  });
  useEffect(() => {
    let waiting: ReturnType<typeof setTimeout>;
    const stop = subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        clearTimeout(waiting);
        waiting = setTimeout(() => ask.current(values), PAUSE_MS);
      },
    });
    return () => {
      clearTimeout(waiting);
      stop();
    };
  }, [subscribe]);
  return control;
}
