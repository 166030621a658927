import compression from 'compression';
import express, { type ErrorRequestHandler, type Express } from 'express';
import helmet from 'helmet';
import { createBench } from './bench/bench';

/**
 * Serves the built app.
 *
 * @param dist folder with the export
 * @param demo whether a new shelf begins with the demo toys
 */
export function createApp(dist: string, demo: boolean): Express {
  const app = express();
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // Style sheets are written into the page while it runs.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          workerSrc: ["'self'", 'blob:'],
          // Served on plain http on the maker's own machine.
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  // Before compression, which would hold readings back.
  app.use('/bench', createBench());
  app.use(compression());
  app.get('/boot.json', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ demo });
  });
  // Names of these files carry a hash of their contents: they never change.
  const hashed = express.static(dist, {
    index: false,
    setHeaders: (response, path) => {
      if (/[.-][0-9a-f]{32}\.\w+$/.test(path))
        response.set('Cache-Control', 'public, max-age=31536000, immutable');
      else response.set('Cache-Control', 'no-cache');
    },
  });
  app.use(hashed);
  // Every page of the app is the same file: a deep link works on reload. A missing file is still missing.
  app.get(/^[^.]*$/, (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: dist });
  });
  app.use((_request, response) => {
    response.status(404).type('text').send('There is nothing here.');
  });
  app.use(failed);
  return app;
}

/** What went wrong is said in a line: how the server is made is nobody's business. An address that can't be read is the asker's slip. */
const failed: ErrorRequestHandler = (reason: { status?: number }, _request, response, next) => {
  if (response.headersSent) {
    next(reason);
    return;
  }
  const theirs = reason.status !== undefined && reason.status >= 400 && reason.status < 500;
  response
    .status(theirs ? (reason.status ?? 400) : 500)
    .type('text')
    .send(theirs ? 'This address can’t be read.' : 'This did not work. Try again.');
};
