import { spawn } from 'node:child_process';
import { build, install, root } from './setup.mjs';

install();
build();
const server = spawn(process.execPath, ['--import', 'tsx', 'server/serve.ts', ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
