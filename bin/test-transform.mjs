// How Jest reads TypeScript, and what of the packages runs in inner loops.
import swc from "@swc/jest";

/**
 * Each test file has a world of its own in Jest, where every look at a global goes through an
 * interceptor: arithmetic took three times as long as in the product. So modules are handed the
 * globals that loops use; not those that fake timers replace.
 */
const AT_HAND = [
  ...["Math", "Number", "Object", "Array", "String", "JSON", "Map", "Set", "BigInt"],
  ...["Uint8Array", "Int32Array", "Float32Array", "Float64Array", "DataView"],
];
const declared = AT_HAND.map((name) => `${name} = globalThis.${name}`).join(", ");

const atHand = ({ code, ...rest }) => ({ ...rest, code: `const ${declared}; ${code}` });

const asItIs = {
  process: (code) => atHand({ code }),
};

export default {
  /** @param {{ packages?: boolean }} options What SWC is told; `packages`: plain JavaScript. */
  createTransformer({ packages = false, ...options } = {}) {
    if (packages) return asItIs;
    const inner = swc.createTransformer(options);
    return {
      ...inner,
      process: (...given) => atHand(inner.process(...given)),
      processAsync: async (...given) => atHand(await inner.processAsync(...given)),
    };
  },
};
