import { useState } from "react";
import { useSubmit } from "react-router";
import { notationWords } from "~/words/notation";

const { pages: words } = notationWords;
const MOST_BYTES = 20_000_000;

const isPage = ({ type, name }: File): boolean =>
  type === "application/pdf" || type.startsWith("image/") || name.toLowerCase().endsWith(".pdf");

/**
 * Takes a form's files over where they are pages on paper: they are drawn here, page by page, and
 * sent with the files as they came. Files of notes go their usual way.
 */
export function usePages() {
  const submit = useSubmit();
  const [told, setTold] = useState<{ kind: "busy" | "refused"; sentence: string } | undefined>();

  const send = async (form: FormData, files: readonly File[]) => {
    const { drawPages } = await import("./draw-pages");
    const drawn = await drawPages(files, (page) => {
      setTold({ kind: "busy", sentence: words.drawing(page) });
    });
    if (!drawn.ok) return setTold({ kind: "refused", sentence: drawn.error });
    form.set("act", "pages");
    drawn.value.forEach((image, index) => form.append("page", image, `page-${index + 1}`));
    setTold({ kind: "busy", sentence: words.sending });
    await submit(form, { method: "post", encType: "multipart/form-data" });
    setTold(undefined);
  };

  /** Whether the files of a form are pages, and so are sent by this hook. */
  const takesOver = (form: FormData): boolean => {
    const files = form.getAll("file").filter((each) => each instanceof File);
    if (!files.some(isPage)) return false;
    const size = files.reduce((sum, file) => sum + file.size, 0);
    if (!files.every(isPage)) setTold({ kind: "refused", sentence: words.mixed });
    else if (size > MOST_BYTES) setTold({ kind: "refused", sentence: words.tooHeavy });
    else void send(form, files);
    return true;
  };
  return { told, takesOver };
}
