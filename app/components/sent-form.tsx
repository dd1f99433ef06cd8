import { valibotResolver } from "@hookform/resolvers/valibot";
import { useEffect, useMemo, type ReactNode, type SubmitEvent } from "react";
import { FormProvider, useForm, type FieldErrors } from "react-hook-form";
import { Form, useSubmit } from "react-router";
import type { GenericSchema } from "valibot";
import type { Refused } from "./field";

/** A form's fields as they are typed. */
export type Typed = Record<string, string>;

interface SentFormProps {
  /** The form's own schema, the same by which the server reads it. */
  readonly schema: GenericSchema<Typed, unknown>;
  readonly values: Typed;
  /** What the server refused. */
  readonly refused: Refused | undefined;
  readonly className?: string | undefined;
  /** How it is sent; by the page's own action without it. */
  readonly send?: (form: FormData) => void;
  readonly children: ReactNode;
}

const asErrors = (refused: Refused | undefined): FieldErrors<Typed> =>
  Object.fromEntries(
    Object.entries(refused?.errors ?? {}).map(([name, message]) => [
      name,
      { type: "server", message },
    ]),
  );

/**
 * A form that is checked as it is typed and once more by the server, whose sentences come to their
 * fields. It is a form of the page before any script runs.
 */
export function SentForm({ schema, values, refused, className, send, children }: SentFormProps) {
  const submit = useSubmit();
  const errors = useMemo(() => asErrors(refused), [refused]);
  const form = useForm<Typed, unknown, unknown>({
    resolver: valibotResolver(schema),
    defaultValues: { ...values, ...refused?.values },
    errors,
  });
  const { setFocus } = form;
  useEffect(() => {
    const [first] = Object.keys(errors);
    if (first) setFocus(first);
  }, [errors, setFocus]);
  const check = (event: SubmitEvent<HTMLFormElement>) => {
    const { currentTarget } = event;
    const target = (event.nativeEvent.submitter ?? currentTarget) as HTMLButtonElement;
    void form.handleSubmit(() => {
      if (send) send(new FormData(currentTarget));
      else void submit(target, { method: "post" });
    })(event);
  };
  return (
    <FormProvider {...form}>
      <Form method="post" noValidate className={className} onSubmit={check}>
        {children}
      </Form>
    </FormProvider>
  );
}
