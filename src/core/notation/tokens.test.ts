import { Lexer } from 'chevrotain';
import { sentenceTypes } from './sentence/tokens';
import { allTokens } from './tokens';

// The app builds its lexers without this check: it costs a phone a fifth of a second.
test.each([
  ['rounds', allTokens],
  ['sentences', sentenceTypes],
])('the tokens of %s hold together: none is out of reach, none twice', (_, types) => {
  const lexer = new Lexer(types, { positionTracking: 'onlyOffset', ensureOptimizations: true });
  expect(lexer.lexerDefinitionErrors).toEqual([]);
});
