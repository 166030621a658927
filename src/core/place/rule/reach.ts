import type { FeatureKind } from '../../notation/sentence/said';
import type { FeatureRule } from './rule';

/** How far a feature reaches from the line it is placed by, in rounds (stitches on a part that lies on its side), as one looks at the face. */
export interface Reach {
  up: number;
  down: number;
}

/** What lies on one line and has no edges to count from. */
export const lineEdge: Reach = { up: 0, down: 0 };

type Made = Pick<FeatureRule, 'kind' | 'style' | 'embroidered' | 'high'>;

/** Reach of what is stitched; what is pressed in, tied or sewn on is counted from its middle, as its post or its sewing line is. */
export function reachOf({ kind, style, embroidered, high }: Made): Reach {
  if (!embroidered) return lineEdge;
  switch (kind) {
    case 'nose':
    case 'cheeks':
    case 'spots':
      return { up: 0, down: high };
    case 'mouth':
      return { up: 0, down: style === 'row' || style === 'line' ? 0 : 1 };
    case 'hair':
      return { up: Math.max(0, high - 1), down: 0 };
    case 'lashes':
      return { up: 2, down: 0 };
    case 'whiskers':
      return { up: 2, down: 2 };
    case 'eyes':
      return style === 'sleeping' ? { up: 0, down: 1 } : { up: high / 2, down: high / 2 };
    default:
      return lineEdge;
  }
}

/**
 * What is counted from when something lies above or below a feature: the edge of a nose that covers several rounds, a round under its tip.
 * Eyes count from their line whether they are pressed or stitched, so that changing the one for the other moves nothing; a mouth from its
 * long stitch, not from where that is held down.
 */
export function countedReach(made: Made): Reach {
  const counted: ReadonlySet<FeatureKind> = new Set(['nose', 'cheeks', 'spots', 'hair']);
  if (made.kind === 'mouth' && made.style === 'lips') return reachOf(made);
  return counted.has(made.kind) ? reachOf(made) : lineEdge;
}
