import { data } from "react-router";
import * as v from "valibot";
import { sentences } from "~/core/result";

const refuse = (status: number, sentence: string, headers: Record<string, string> = {}): never => {
  throw data({ sentence }, { status, headers });
};

/** Refuses any other way of asking than the ones that an address knows. */
export function insistOnMethod({ method }: Request, ...methods: readonly string[]): void {
  if (methods.includes(method)) return;
  refuse(405, `This address takes ${methods.join(" or ")}, not ${method}.`, {
    Allow: methods.join(", "),
  });
}

const FORMS = /^(application\/x-www-form-urlencoded|multipart\/form-data)\b/i;

/** A form that was sent; what is none, or breaks off, is refused with a sentence. */
export async function formOf(request: Request): Promise<FormData> {
  insistOnMethod(request, "POST");
  if (!FORMS.test(request.headers.get("content-type") ?? "")) {
    refuse(415, "A form is expected here.");
  }
  return request
    .formData()
    .catch(() =>
      refuse(400, "The form can't be read: it breaks off or is damaged. Send it again."),
    );
}

/** The text of a request, no longer than it may be. */
export async function textOf(request: Request, most: number): Promise<string> {
  const text = await request.text().catch(() => refuse(400, "It broke off on the way."));
  return text.length > most ? refuse(413, "That is too much at once.") : text;
}

/** The bytes of a request. */
export const bytesOf = async (request: Request): Promise<Uint8Array> =>
  new Uint8Array(await request.arrayBuffer().catch(() => refuse(400, "It broke off on the way.")));

/** JSON that was sent, read by its schema. */
export async function jsonOf<S extends v.GenericSchema>(
  request: Request,
  schema: S,
  most: number,
): Promise<v.InferOutput<S>> {
  insistOnMethod(request, "POST");
  const text = await textOf(request, most);
  const read = v.safeParse(v.pipe(v.string(), v.parseJson(), schema), text);
  return read.success ? read.output : refuse(400, Object.values(sentences(read.issues))[0]!);
}
