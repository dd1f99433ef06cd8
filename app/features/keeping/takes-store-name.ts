/** Under which name this browser keeps takes: known without loading what keeps them. */
export const TAKES_STORE = "fidus-takes";
