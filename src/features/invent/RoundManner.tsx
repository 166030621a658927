import { t } from '../../core/words/language';
import { sayTerm } from '../../core/words/said';
import { View } from '@tamagui/core';
import { useState } from 'react';
import { canBeColour } from '../../core/invent/soFar';
import { OneOf } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { Card } from '../../ui/layout';
import { Press } from '../../ui/Press';
import { Quiet } from '../../ui/text';
import type { RoundInHand } from './useRoundInHand';

type Loops = 'both' | 'front' | 'back';
const loopOptions: readonly (readonly [Loops, string])[] = [
  ['both', t`Both`],
  ['front', t`Front`],
  ['back', t`Back`],
];
const wayOptions: readonly (readonly ['rounds' | 'rows', string])[] = [
  ['rounds', t`Round and round`],
  ['rows', t`To and fro`],
];

/** What is said of the round, in words: `into the back loops, in white`. */
function mannerWords({ manner: { loops, colour } }: RoundInHand): string {
  const said = [loops ? t`into the ${sayTerm(loops)} loops` : '', colour ? t`in ${colour} from here on` : ''];
  return said.filter((words) => words !== '').join(', ');
}

/** Which loops the round goes into, the colour it changes to, and for a first one whether the piece is worked to and fro. */
export function RoundManner({ round }: { round: RoundInHand }) {
  const [isOpen, setOpen] = useState(false);
  const { manner, inRing, say, called } = round;
  const words = mannerWords(round);
  return (
    <View gap="$2">
      {inRing ? (
        <OneOf
          label={t`How it is worked`}
          unlabelled
          options={wayOptions}
          chosen={manner.rows ? 'rows' : 'rounds'}
          onChoose={(way) => say({ rows: way === 'rows' })}
        />
      ) : null}
      <Press
        label={words === '' ? t`Loops, colour` : `${called} ${round.number}: ${words}`}
        name={isOpen ? t`Loops and colour: close` : t`Loops and colour of this round`}
        onPress={() => setOpen(!isOpen)}
      />
      {isOpen ? (
        <Card gap="$3">
          {inRing ? null : (
            <OneOf
              label={t`Loops`}
              options={loopOptions}
              chosen={manner.loops ?? 'both'}
              onChoose={(loops) => say({ loops: loops === 'both' ? null : loops })}
            />
          )}
          <Colour round={round} onDone={() => setOpen(false)} />
        </Card>
      ) : null}
    </View>
  );
}

/** The colour a round changes to: one that the toy has, or a new one. */
function Colour({ round, onDone }: { round: RoundInHand; onDone: () => void }) {
  const { manner, colours, say } = round;
  const [name, setName] = useState('');
  const wanted = name.trim();
  return (
    <View gap="$2" role="group" aria-label={t`Change to`}>
      <Quiet>{t`Change to`}</Quiet>
      <View flexDirection="row" flexWrap="wrap" gap="$2">
        <Press
          role="radio"
          label={t`As before`}
          chosen={manner.colour === null}
          onPress={() => say({ colour: null })}
        />
        {colours.map((colour) => (
          <Press
            key={colour}
            role="radio"
            label={colour}
            chosen={manner.colour === colour}
            onPress={() => say({ colour })}
          />
        ))}
      </View>
      <Field label={t`Or another colour`} value={name} onChange={setName} />
      <Press
        label={t`Change to it`}
        disabled={!canBeColour(wanted)}
        onPress={() => {
          say({ colour: wanted });
          onDone();
        }}
      />
    </View>
  );
}
