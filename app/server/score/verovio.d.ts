declare module "verovio/wasm" {
  export default function createVerovioModule(): Promise<object>;
}

declare module "verovio/esm" {
  export class VerovioToolkit {
    constructor(module: object);
    setOptions(options: Readonly<Record<string, unknown>>): void;
    loadData(data: string): number;
    select(range: { readonly start?: string; readonly end?: string }): number;
    redoLayout(options: { readonly resetCache?: boolean }): void;
    getPageCount(): number;
    renderToSVG(page: number): string;
  }
}
