// Before each test file: its properties draw from the run's seed.
import fc from "fast-check";

fc.configureGlobal({ seed: Number(process.env.FIDUS_SEED) });
