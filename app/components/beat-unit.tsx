import type { BeatUnit } from "~/core/units";
import { words } from "~/words/stand-words";

interface Glyph {
  readonly open: boolean;
  readonly stem: boolean;
  readonly flags: number;
  readonly dot: boolean;
}

const plain = { open: false, stem: true, flags: 0, dot: false };

const GLYPHS: Record<BeatUnit, Glyph> = {
  whole: { ...plain, open: true, stem: false },
  "dotted-half": { ...plain, open: true, dot: true },
  half: { ...plain, open: true },
  "dotted-quarter": { ...plain, dot: true },
  quarter: plain,
  "dotted-eighth": { ...plain, flags: 1, dot: true },
  eighth: { ...plain, flags: 1 },
  sixteenth: { ...plain, flags: 2 },
};

/** The note value of a tempo, drawn; as tall as the text around it. */
export function BeatUnitGlyph({ unit }: { unit: BeatUnit }) {
  const { open, stem, flags, dot } = GLYPHS[unit];
  return (
    <svg
      viewBox="0 0 16 26"
      width="0.62em"
      height="1em"
      role="img"
      aria-label={words.beatUnit[unit]}
      style={{ verticalAlign: "-0.12em", overflow: "visible" }}
      fill="currentColor"
      stroke="currentColor"
    >
      <ellipse
        cx="5.4"
        cy="21.4"
        rx="4.6"
        ry="3.3"
        transform="rotate(-22 5.4 21.4)"
        fill={open ? "none" : "currentColor"}
        strokeWidth={open ? 1.9 : 0.6}
      />
      {stem && <path d="M9.7 20.4V2" fill="none" strokeWidth="1.5" />}
      {Array.from({ length: flags }, (_, i) => (
        <path
          key={i}
          d={`M9.7 ${2 + i * 5}c0.4 3.2 5.2 4.4 4.2 9.4c-0.3-2.6-2.2-4-4.2-4.6z`}
          strokeWidth="0.4"
        />
      ))}
      {dot && <circle cx="13.4" cy="21" r="1.5" stroke="none" />}
    </svg>
  );
}

/** A tempo with its beat unit: "♩ = 72"; one that is no whole number to a tenth. */
export function TempoText({ unit, bpm }: { unit: BeatUnit; bpm: number | string }) {
  return (
    <span style={{ whiteSpace: "nowrap" }}>
      <BeatUnitGlyph unit={unit} /> = {typeof bpm === "number" ? Number(bpm.toFixed(1)) : bpm}
    </span>
  );
}
