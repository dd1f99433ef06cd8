/** A file handed back byte for byte, under the name that it came with. */
export const asItCame = (file: { readonly file_name: string; readonly original: Uint8Array }) =>
  new Response(new Uint8Array(file.original), {
    headers: {
      "Content-Type": "application/octet-stream",
      "Content-Disposition": `attachment; filename*=UTF-8''${encodeURIComponent(file.file_name)}`,
    },
  });
