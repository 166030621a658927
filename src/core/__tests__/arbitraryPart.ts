import * as fc from 'fast-check';

/** A round as text with the counts that a maker would get by fingertip. */
export interface RoundText {
  line: string;
  count: number;
}

type Move = 'plain' | 'up' | 'down';

/** Random parts that add up: a ring, then rounds that stay, grow evenly or shrink evenly. */
export const arbitraryPart = fc
  .record({
    ring: fc.integer({ min: 4, max: 9 }),
    moves: fc.array(fc.constantFrom<Move>('plain', 'up', 'down'), { minLength: 1, maxLength: 24 }),
    style: fc.integer({ min: 0, max: 3 }),
  })
  .map(({ ring, moves, style }): RoundText[] => {
    const rounds: RoundText[] = [{ line: `R1: ${ring} sc in magic ring [${ring}]`, count: ring }];
    let count = ring;
    moves.forEach((move, index) => {
      const label = style % 2 === 0 ? `R${index + 2}:` : `Rnd ${index + 2}.`;
      const each = count / ring;
      let body = 'sc around';
      if (move === 'up' && count < 120) {
        body =
          style < 2
            ? `(sc ${each - 1}, inc) x ${ring}`
            : `*${each - 1} sc, 2 sc in next st; repeat from * around`;
        if (each === 1) body = `inc x ${ring}`;
        count += ring;
      } else if (move === 'down' && each > 1) {
        body = each === 2 ? `dec x ${ring}` : `(${each - 2} sc, dec) ${ring} times`;
        count -= ring;
      }
      rounds.push({ line: `${label} ${body} ${style < 2 ? `[${count}]` : `(${count} sts)`}`, count });
    });
    return rounds;
  });

export const textOf = (rounds: readonly RoundText[], header = ''): string =>
  `${header}Part:\n${rounds.map((round) => round.line).join('\n')}\n`;
