import { once } from 'node:events';
import type { Server } from 'node:http';
import { resolve } from 'node:path';
import { createApp } from './app';
import { portWanted } from './port';

/** Only this machine, unless another address is asked for. */
const thisMachine = '127.0.0.1';

/** Listens on the wanted port, or the next free one. */
async function listen(port: number, demo: boolean): Promise<Server> {
  const host = process.env.HOST?.trim() || thisMachine;
  const server = createApp(resolve(import.meta.dirname, '../dist'), demo).listen(port, host);
  try {
    await once(server, 'listening');
    return server;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE' && port < 65535) return listen(port + 1, demo);
    throw error;
  }
}

/** Starts the server and says where it is. */
async function serve(): Promise<number> {
  const wanted = portWanted(process.env.PORT);
  if (typeof wanted === 'string') {
    process.stderr.write(`${wanted}\n`);
    return 2;
  }
  let server: Server;
  try {
    server = await listen(wanted, process.argv.includes('--demo'));
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code ?? 'unknown';
    process.stderr.write(
      `Hoppla can't listen on port ${wanted} (${code}). Choose another: PORT=8080 npm start\n`,
    );
    return 2;
  }
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : wanted;
  if (wanted !== 0 && port !== wanted) {
    process.stdout.write(
      `Port ${wanted} is taken, perhaps by a Hoppla that still runs. Browsers keep toys by address: those made at http://localhost:${wanted} are not on the shelf at the address below. To find them, use the other one, or stop it and start again.\n`,
    );
  }
  process.stdout.write(`Hoppla is ready: http://localhost:${port}\n`);
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      server.close();
      server.closeAllConnections();
    });
  return 0;
}

process.exitCode = await serve();
