import { t } from '../../core/words/language';
import { useMemo, useRef, useState } from 'react';
import type { PagePoint } from '../../core/join/pose/drag';
import type { Unit, UnitRef } from '../../core/join/joined';
import { analyseToy, type ToyAnalysis } from '../../core/toy/analyse';
import { assembled } from '../../core/toy/assembled';
import { useToy } from '../../data/useToy';
import { useMove, useStance, type Move, type Stance } from './useMove';

/** What a maker has in her hand of the toy that is put together. */
interface Hand {
  /** the toy as it is drawn: while a part is drawn elsewhere, with it there */
  toy: ToyAnalysis;
  units: readonly Unit[];
  chosen: Unit | null;
  move: Move | null;
  stance: Stance | null;
  choose: (unit: UnitRef | null) => void;
  /** what the chosen unit is called where it can be taken hold of from a side; null where it can't */
  gripFrom: (yaw: number) => string | null;
  drag: (by: PagePoint, yaw: number) => void;
  drop: () => void;
}

/** The chosen part of the toy, and where a thumb draws it before it is let go: the text changes only then, in one step. */
export function useHand(): Hand {
  const { analysis, editor } = useToy();
  const [chosen, setChosen] = useState<UnitRef | null>(null);
  const [drawnTo, setDrawnTo] = useState<string | null>(null);
  /** the same, for a thumb that lets go before it is drawn */
  const last = useRef<string | null>(null);
  const drawn = useMemo(() => (drawnTo === null ? null : analyseToy(drawnTo)), [drawnTo]);
  const toy = drawn ?? analysis;
  const units = assembled(toy).map(({ unit }) => unit);
  const unit = units.find((one) => one.part === chosen?.part && one.unit === chosen.unit) ?? null;
  const move = useMove(unit);
  const stance = useStance(unit);
  return {
    toy,
    units,
    chosen: unit,
    move,
    stance,
    choose: setChosen,
    gripFrom: (yaw) => (unit && move?.isWithinReach(yaw) ? t`Draw the ${unit.name} over the toy` : null),
    drag: (by, yaw) => {
      const spot = move?.draggedTo(by, yaw);
      if (!move || !spot) return;
      last.current = move.textWith(spot);
      setDrawnTo(last.current);
    },
    drop: () => {
      if (last.current !== null) editor.step(last.current);
      last.current = null;
      setDrawnTo(null);
    },
  };
}
