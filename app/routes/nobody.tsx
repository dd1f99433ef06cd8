import { Empty } from "~/components/page";
import { words } from "~/words";
import { accessWords } from "~/words/access";

export const meta = () => [{ title: words.name }];

/** Where a parent comes in whose child nobody has named. */
export default function Nobody() {
  return (
    <main id="main">
      <Empty>{accessWords.nobody}</Empty>
    </main>
  );
}
