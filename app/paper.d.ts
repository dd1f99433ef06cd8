/** Where the build puts the files that PDF.js asks for. */
declare const __PDF_FILES__: string;
