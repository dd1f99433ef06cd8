import type { SubmitEvent } from "react";
import { useForm, useWatch, type FieldErrors } from "react-hook-form";
import { Form, useSubmit } from "react-router";
import type { Refused } from "~/components/field";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import { minutesInAWeek, type WeekTimes } from "~/core/week";
import type { Day } from "~/core/units";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { DateFields } from "./date-fields";
import { LessonTime } from "~/features/my-week/lesson-time";
import { LimitFields } from "./limit-fields";
import { timesResolver, type TimesControl } from "./times-form";
import { WeekdayFields } from "./weekday-fields";
import styles from "./times-page.module.css";

interface TimesPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly times: WeekTimes;
  readonly today: Day;
  readonly teaches: boolean;
  readonly refused: Refused | undefined;
}

const { times: said } = planWords;

/** When there is time in a week, on which dates it is otherwise, and when the lesson is. */
export function TimesPage({ studioId, person, times, refused, today, teaches }: TimesPageProps) {
  const submit = useSubmit();
  const { control, handleSubmit, formState } = useForm<WeekTimes>({
    resolver: timesResolver,
    defaultValues: { ...times, dates: times.dates.filter(({ day }) => day >= today) },
  });
  const send = (event: SubmitEvent<HTMLFormElement>) =>
    void handleSubmit((read) => submit({ times: JSON.stringify(read) }, { method: "post" }))(event);
  const sentence = firstSentence(formState.errors) ?? Object.values(refused?.errors ?? {})[0];
  return (
    <Page
      title={said.title(person.name)}
      lead={said.lead}
      back={{
        to: `/studio/${studioId}/students/${person.id}/week`,
        label: teaches ? words.student.week : planWords.week.title,
      }}
    >
      <Form method="post" noValidate onSubmit={send}>
        <div className={styles.columns}>
          <Section title={said.days}>
            <WeekdayFields control={control} />
          </Section>
          <div>
            <Section title={said.lesson}>
              <LessonTime control={control} />
            </Section>
            <Section title={said.dates}>
              <DateFields control={control} today={today} />
            </Section>
            {teaches && (
              <Section title={said.child}>
                <LimitFields control={control} />
              </Section>
            )}
          </div>
        </div>
        <div className={styles.save}>
          <SubmitButton variant="contained">{said.save}</SubmitButton>
          <Total control={control} />
          {sentence && <p role="alert">{sentence}</p>}
        </div>
      </Form>
    </Page>
  );
}

/** The first sentence that is of a list or of the whole: a field shows its own. */
function firstSentence({ windows, dates, ...rest }: FieldErrors<WeekTimes>): string | undefined {
  const whole = (rest as Record<string, { message?: string }>)[""];
  return [whole, windows, windows?.root, dates, dates?.root].find((each) => each?.message)?.message;
}

function Total({ control }: { control: TimesControl }) {
  const [windows, limits] = useWatch({ control, name: ["windows", "limits"] });
  const { minutes, days } = minutesInAWeek({ windows, limits });
  return <span>{said.total(minutes, days)}</span>;
}
