/** The materials of the workshop. Text colours hold AA (4.5:1) on paper, spruce and their own wash. */
const light = {
  paper: "#f8f5ed",
  spruce: "#ece2cc",
  grain: "#e2d5b8",
  ink: "#1d1a17",
  "ink-soft": "#564d42",
  line: "#cdbf9f",
  "line-strong": "#8d8069",
  verdigris: "#14655a",
  "verdigris-fill": "#3d8f80",
  "verdigris-wash": "#d6e6dc",
  rosin: "#7d4e00",
  "rosin-fill": "#dc9a26",
  "rosin-wash": "#f6e2b8",
  madder: "#98232e",
  "madder-fill": "#c14a50",
  "madder-wash": "#f3d6d0",
  focus: "#1d1a17",
} as const;

type Tokens = Readonly<Record<keyof typeof light, string>>;

const dark: Tokens = {
  paper: "#161311",
  spruce: "#231e19",
  grain: "#2b251e",
  ink: "#f5eee0",
  "ink-soft": "#c3b69f",
  line: "#483f33",
  "line-strong": "#8d8069",
  verdigris: "#7ccbb9",
  "verdigris-fill": "#4fa593",
  "verdigris-wash": "#1b3832",
  rosin: "#f0b850",
  "rosin-fill": "#dc9a26",
  "rosin-wash": "#3d2e10",
  madder: "#f29a94",
  "madder-fill": "#d4656a",
  "madder-wash": "#452222",
  focus: "#f5eee0",
};

export const TOKENS = { light, dark } as const;

const declarations = (tokens: Tokens) =>
  Object.entries(tokens)
    .map(([name, value]) => `--${name}:${value}`)
    .join(";");

/** The tokens as CSS variables for both schemes, at the head of every page. */
export const TOKEN_STYLES =
  `:root{color-scheme:light;${declarations(light)}}` +
  `[data-scheme="dark"]{color-scheme:dark;${declarations(dark)}}`;
