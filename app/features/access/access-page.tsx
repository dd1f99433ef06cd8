import Button from "@mui/material/Button";
import { useState, type ReactNode } from "react";
import { Form } from "react-router";
import { Field, type Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import { accessWords } from "~/words/access";
import styles from "./access.module.css";

interface Access {
  readonly id: string;
  readonly kind: "link" | "code" | "calendar";
  readonly made_at: Date;
  readonly used_at: Date | null;
}

interface Shown {
  readonly kind: Access["kind"];
  readonly name: string;
  readonly secret: string;
  readonly qr: string | undefined;
}

interface AccessPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly accesses: readonly Access[];
  readonly parents: readonly { readonly id: string; readonly name: string }[];
  readonly answer:
    Refused | { readonly shown: Shown | undefined; readonly done: string | undefined } | undefined;
}

const { page } = accessWords;

/** What a student, and who looks on, comes in with. */
export function AccessPage({ studioId, person, accesses, parents, answer }: AccessPageProps) {
  const formats = useFormats();
  const shown = answer && "shown" in answer ? answer.shown : undefined;
  const done = answer && "done" in answer ? answer.done : undefined;
  const refused = answer && "errors" in answer ? answer : undefined;
  const of = (kind: Access["kind"]) => accesses.find((each) => each.kind === kind);
  const link = of("link");
  const told = (kind: Access["kind"]) =>
    shown?.kind === kind && shown.name === person.name && <ShownOnce shown={shown} />;
  return (
    <Page
      title={page.title(person.name)}
      lead={page.lead}
      back={{ to: `/studio/${studioId}/students/${person.id}`, label: person.name }}
    >
      <div className={styles.ways2}>
        <Section title={page.link}>
          <p className={styles.soft}>
            {link
              ? page.linkOut(
                  formats.dayOfMoment(link.made_at),
                  link.used_at ? formats.dayOfMoment(link.used_at) : undefined,
                )
              : page.linkNone}
            {link && ` ${page.revokeTold}`}
          </p>
          {told("link")}
          <Acts>
            <Act act="link" main={!link}>
              {link ? page.linkAnew : page.linkMake}
            </Act>
            {link && (
              <Act act="revoke" id={link.id}>
                {page.revoke}
              </Act>
            )}
          </Acts>
        </Section>
        <Section title={page.code}>
          <p className={styles.soft}>{page.codeLead}</p>
          {told("code")}
          <Acts>
            <Act act="code">{page.codeMake}</Act>
            <Act act="everywhere">{page.everywhere}</Act>
          </Acts>
          {done === "everywhere" && <p role="status">{page.everywhereDone}</p>}
        </Section>
        <Section title={page.calendar}>
          <p className={styles.soft}>{page.calendarLead}</p>
          {told("calendar")}
          <Acts>
            <Act act="calendar">{of("calendar") ? page.calendarAnew : page.calendarMake}</Act>
            {of("calendar") && (
              <Act act="revoke" id={of("calendar")!.id}>
                {page.calendarEnd}
              </Act>
            )}
          </Acts>
        </Section>
        <Section title={page.parents}>
          <p className={styles.soft}>{page.parentsLead}</p>
          {shown && shown.name !== person.name && <ShownOnce shown={shown} />}
          <Acts>
            {parents.map(({ id, name }) => (
              <Act key={id} act="parent-link" id={id}>
                {page.parentLink(name)}
              </Act>
            ))}
          </Acts>
          <Form method="post" className={styles.form} noValidate>
            <input type="hidden" name="act" value="parent" />
            <Field
              key={parents.length}
              name="name"
              label={page.parentName}
              refused={refused}
              size="small"
            />
            <SubmitButton variant="outlined">{page.parentAdd}</SubmitButton>
          </Form>
        </Section>
      </div>
    </Page>
  );
}

const Acts = ({ children }: { children: ReactNode }) => (
  <div className={styles.buttons}>{children}</div>
);

interface ActProps {
  readonly act: string;
  readonly id?: string;
  readonly main?: boolean;
  readonly children: ReactNode;
}

function Act({ act, id, main = false, children }: ActProps) {
  return (
    <Form method="post">
      <input type="hidden" name="act" value={act} />
      {id && <input type="hidden" name="id" value={id} />}
      <SubmitButton variant={main ? "contained" : "outlined"} size="small">
        {children}
      </SubmitButton>
    </Form>
  );
}

/** A secret on the one occasion on which it can be seen. */
function ShownOnce({ shown: { kind, name, secret, qr } }: { shown: Shown }) {
  const [copied, setCopied] = useState(false);
  const copy = () => void navigator.clipboard.writeText(secret).then(() => setCopied(true));
  return (
    <div className={styles.once}>
      {kind === "link" && qr && (
        // Made on our own server from our own address.
        <div role="img" aria-label={page.qr(name)} dangerouslySetInnerHTML={{ __html: qr }} />
      )}
      <div className={`${styles.secret} ${kind === "code" ? styles.code : ""}`}>
        {kind === "link" && <p className={styles.soft}>{page.linkOnce}</p>}
        <output>{secret}</output>
        <Button size="small" variant="outlined" onClick={copy}>
          {copied ? page.copied : page.copy}
        </Button>
      </div>
    </div>
  );
}
