import { benches } from './benches';

/** Median time of one run in ms. */
function median(run: () => void, runs: number): number {
  run();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)] ?? 0;
}

/** A bare loop over a typed array, timed in the same run on the same machine: what the ratios are to. */
const cells = new Float64Array(1_000_000);
const reference = () => {
  for (let i = 0; i < cells.length; i += 1) cells[i] = (cells[i] ?? 0) * 0.5 + i;
};

const unit = median(reference, 30);
process.stdout.write(`reference: a bare pass over 1,000,000 numbers, ${unit.toFixed(2)} ms\n`);
for (const { name, run, runs = 15, against } of benches) {
  const time = median(run, runs);
  const ratio = against
    ? `${(time / median(against.run, runs)).toFixed(2)} × ${against.name}`
    : `${(time / unit).toFixed(2).padStart(8)} × reference`;
  process.stdout.write(`${name.padEnd(52)} ${time.toFixed(2).padStart(9)} ms   ${ratio}\n`);
}
