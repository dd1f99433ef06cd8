// One seed for all property tests of a run: printed, and taken from FIDUS_SEED to repeat a run.
export default function chooseSeed() {
  process.env.FIDUS_SEED ??= String(Math.floor(Math.random() * 2 ** 31));
  process.stdout.write(`properties: FIDUS_SEED=${process.env.FIDUS_SEED}\n`);
}
