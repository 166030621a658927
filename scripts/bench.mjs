// Runs what is measured as the app runs it: bundled. Run from source, every function is wrapped to keep its name, and the wrapping is what gets measured.
import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { buildSync } from 'esbuild';

const built = join('node_modules', '.cache', 'hoppla-bench');
for (const name of ['run', 'robust']) {
  const outfile = join(built, `${name}.cjs`);
  buildSync({
    entryPoints: [join('bench', `${name}.ts`)],
    bundle: true,
    platform: 'node',
    format: 'cjs',
    outfile,
  });
  execFileSync(process.execPath, [outfile, ...process.argv.slice(2)], { stdio: 'inherit' });
}
