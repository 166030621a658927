import { t } from '../../core/words/language';
import { setToyHeader } from '../../core/notation/editText';
import { audiences, audienceWords, type Audience } from '../../core/safety/audience';
import { OneOf } from '../../ui/Choice';

const names: Record<Audience, string> = {
  'under-3': t`Under 3`,
  '3-and-over': t`3 and over`,
  keepsake: t`Keepsake`,
  pet: t`A pet`,
};

interface ForWhomProps {
  text: string;
  audience: Audience | null;
  /** the text with what was chosen */
  onChoose: (text: string) => void;
}

/** For whom a toy is: it decides by which rules it is looked at. */
export function ForWhom({ text, audience, onChoose }: ForWhomProps) {
  return (
    <OneOf
      wraps
      label={t`For whom is it?`}
      options={audiences.map((who) => [who, names[who]] as const)}
      chosen={audience}
      onChoose={(who) => onChoose(setToyHeader(text, 'For', audienceWords[who]))}
    />
  );
}
