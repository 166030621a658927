import { readToysWith } from '../reading';

// In the app its routes say so; what is kept is tested without them.
readToysWith(async () => ({
  ...(await import('../demoMakings')),
  ...(await import('../keptToy')),
  ...(await import('../../core/keep/document')),
  ...(await import('../../core/notation/editText')),
}));
