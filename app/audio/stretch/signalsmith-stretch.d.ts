/** Within a worklet's scope the module registers its processor; elsewhere it makes a node. */
declare module "signalsmith-stretch" {
  const makeNode: unknown;
  export default makeNode;
}
