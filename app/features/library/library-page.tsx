import Button from "@mui/material/Button";
import { useState } from "react";
import { useNavigate } from "react-router";
import { useFormats } from "~/components/locale";
import { Empty, Page } from "~/components/page";
import { PagedRows } from "~/components/paged-rows";
import type { Column } from "~/components/rows-shown";
import { WHOLE_LIBRARY, type LibraryQuery } from "~/forms/library";
import { PAGE_SIZES, searchOf } from "~/forms/paging";
import type { StudentToChoose } from "~/components/choose-students";
import { words } from "~/words";
import { ActDialog, type Acting } from "./act-dialog";
import { LibraryFilter } from "./library-filter";
import { inShort, type LibraryLine } from "./library-line";
import { LinePicture } from "./line-picture";
import styles from "./library.module.css";

export interface LibraryPageProps {
  readonly query: LibraryQuery;
  readonly total: number;
  readonly lines: readonly LibraryLine[];
  readonly students: readonly StudentToChoose[];
}

const { library } = words;

/** What the room keeps to use again: ladders, plans of sessions, exercises. */
export function LibraryPage({ query, total, lines, students }: LibraryPageProps) {
  const navigate = useNavigate();
  const [acting, setActing] = useState<Acting | undefined>(undefined);
  const columns = useColumns(setActing);
  const show = (next: Partial<LibraryQuery>, replace = false) => {
    const search = searchOf({ ...query, ...next }, WHOLE_LIBRARY);
    void navigate(`?${search}`, { preventScrollReset: true, replace });
  };
  const empty = total === 0 && query.find === "" && query.kind === "";
  return (
    <Page title={library.title} lead={library.lead}>
      {empty ? (
        <Empty>{library.empty}</Empty>
      ) : (
        <>
          <LibraryFilter query={query} onAsk={(asked) => show({ ...asked, page: 0 }, true)} />
          <PagedRows
            label={library.title}
            columns={columns}
            rows={lines}
            total={total}
            sizes={PAGE_SIZES}
            shown={query}
            onShow={({ sort, down, page, rows }) =>
              show({
                sort: sort as LibraryQuery["sort"],
                down,
                page,
                rows: rows as LibraryQuery["rows"],
              })
            }
          />
        </>
      )}
      {acting && (
        <ActDialog
          key={`${acting.line.id} ${acting.act}`}
          {...acting}
          students={students}
          onEnd={() => setActing(undefined)}
        />
      )}
    </Page>
  );
}

function useColumns(onAct: (acting: Acting) => void): Column<LibraryLine>[] {
  const formats = useFormats();
  return [
    {
      name: "name",
      label: library.name,
      sortable: true,
      cell: (line) => (
        <span>
          <strong>{line.name}</strong>
          <span className={styles.short}>{inShort(line)}</span>
        </span>
      ),
    },
    { name: "picture", label: library.path, width: 180, cell: (line) => <LinePicture {...line} /> },
    {
      name: "kind",
      label: library.kind,
      width: 150,
      sortable: true,
      cell: ({ kind }) => library.kinds[kind],
    },
    {
      name: "kept",
      label: library.kept,
      width: 150,
      sortable: true,
      cell: ({ keptAt }) => formats.dayOfMoment(new Date(keptAt)),
    },
    {
      name: "acts",
      label: library.acts,
      width: 265,
      cell: (line) => (
        <span className={styles.acts}>
          {line.kind === "exercise" && (
            <Button
              size="small"
              aria-label={library.giveOf(line.name)}
              onClick={() => onAct({ act: "give", line })}
            >
              {library.give}
            </Button>
          )}
          <Button
            size="small"
            aria-label={library.renameOf(line.name)}
            onClick={() => onAct({ act: "rename", line })}
          >
            {library.rename}
          </Button>
          <Button
            size="small"
            aria-label={library.remove(line.name)}
            onClick={() => onAct({ act: "remove", line })}
          >
            {library.takeOut}
          </Button>
        </span>
      ),
    },
  ];
}
