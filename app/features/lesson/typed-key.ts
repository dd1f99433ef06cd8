/** Where a browser keeps lessons that are being typed; signing out takes them away. */
export const TYPED_KEY = "fidus-lesson";
