import { once } from 'node:events';
import type { Server } from 'node:http';
import { resolve } from 'node:path';
import { createApp } from './app';

/** Listens on the wanted port, or the next free one. */
async function listen(port: number, demo: boolean): Promise<Server> {
  const server = createApp(resolve(import.meta.dirname, '../dist'), demo).listen(port, '127.0.0.1');
  try {
    await once(server, 'listening');
    return server;
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE' && port < 65535) return listen(port + 1, demo);
    throw error;
  }
}

const demo = process.argv.includes('--demo');
const server = await listen(Number(process.env.PORT) || 4173, demo);
const address = server.address();
const port = typeof address === 'object' && address ? address.port : 0;
process.stdout.write(`Hoppla is ready: http://localhost:${port}\n`);
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => { server.close(); server.closeAllConnections(); });
