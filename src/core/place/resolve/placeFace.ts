import type { Problem, Suggestion } from '../../notation/problem';
import type { FeatureKind } from '../../notation/sentence/said';
import type { FaceFrame, Level } from '../frame/faceFrame';
import { frameOf } from '../frame/frameOf';
import { frontAzimuth } from '../frame/frontLine';
import { holeAzimuth } from '../frame/holes';
import { namedPair } from '../frame/pair';
import { seatHoles, type PartForm } from '../frame/partForm';
import { usualEyeLine } from '../rule/proposeRule';
import { readRule } from '../rule/readRule';
import { countedReach, lineEdge, reachOf, type Reach } from '../rule/reach';
import { isAtBack, leadsFace, type FeatureRule, type Vertical } from '../rule/rule';
import { featureSteps, referring } from '../rule/ruleSteps';
import type { FeatureSentence } from '../../notation/sentence/feature';
import { writeRule } from '../rule/writeRule';
import { anchorOf, hangsOn, standsBy, type Anchor } from './anchors';
import type { Finding, Report } from './finding';
import { levelFor, type CountedAnchor } from './levels';
import { inOrder } from './order';
import type { FeaturePlacement } from './placement';
import { placeOne } from './placeOne';
import { saying } from '../../words/problems/problems';

/** A feature of a face, from its sentence to where it lies. */
export interface PlacedFeature {
  id: string;
  step: FeatureSentence;
  /** as the sentence says it */
  rule: FeatureRule;
  placed: FeaturePlacement;
  /** what was found while placing it */
  findings: Finding[];
}

/** A face as it is placed, to be checked and moved. */
export interface ResolvedFace {
  frame: FaceFrame;
  /** where the front lies when no eyes bring it along */
  opposite: number;
  /** in the order of the text */
  features: PlacedFeature[];
  /** a feature placed by another rule, everything else where it is; nothing is told */
  retry(id: string, rule: FeatureRule): FeaturePlacement;
}

/** A feature with its rule, before it is placed. */
interface Ruled {
  id: string;
  step: FeatureSentence;
  rule: FeatureRule;
  findings: Finding[];
}

/**
 * Places every feature of a part by its rule, after what it hangs on. First the heights, for those don't depend on where the front is; then
 * the front, which the eyes lead; then what goes sideways of it. What hangs on something that is not there, or on itself by a detour, says
 * so and is placed as if nothing had been said.
 */
export function placeFace(form: PartForm): ResolvedFace {
  return new FaceResolver(form).resolve();
}

/** One face on its way. */
class FaceResolver {
  private readonly ruled: Map<string, Ruled>;
  private readonly goesBy: (kind: FeatureKind, from: string) => string | null;
  private readonly levels = new Map<string, Level>();
  /** where those lie that others are counted from, if that is not quite their level */
  private readonly seen = new Map<string, Level>();
  private readonly anchors = new Map<string, Anchor>();
  /** levels do not hang on where the front is */
  private frame: FaceFrame;

  constructor(private readonly form: PartForm) {
    const steps = form.fabric.rounds < 2 ? [] : featureSteps(form.part);
    this.ruled = new Map(
      steps.map(({ id, step }) => [id, { id, step, rule: readRule(step, form), findings: [] }]),
    );
    this.goesBy = referring(steps);
    this.frame = frameOf(form, 0);
  }

  resolve(): ResolvedFace {
    const { form } = this;
    // On a part that lies the rounds of the eyes are known before their height, which is taken over the front.
    if (this.frame.lies) this.frame = frameOf(form, this.opposite());
    this.resolveLevels();
    const opposite = this.opposite();
    this.frame = frameOf(form, this.namedFront() ?? opposite);
    const features = this.resolveSideways();
    return { frame: this.frame, opposite, features, retry: (id, rule) => this.retry(id, rule) };
  }

  /** What a feature waits for: the one its rule names, if there is one. */
  private waits(id: string, kind: FeatureKind | null): string | null {
    return kind === null ? null : this.goesBy(kind, id);
  }

  private report(id: string): Report {
    return (finding) => this.ruled.get(id)?.findings.push(finding);
  }

  private resolveLevels(): void {
    const ids = [...this.ruled.keys()];
    const order = inOrder(ids, (id) => this.waits(id, hangsOn(this.ruled.get(id)?.rule.vertical ?? null)));
    for (const { id, circular } of order) {
      const { rule } = this.ruled.get(id)!;
      const kind = hangsOn(rule.vertical);
      const anchor = this.waits(id, kind);
      if (circular) this.report(id)(this.circle(id));
      else if (kind && (anchor === null || !this.levels.has(anchor))) this.missing(id, kind, 'on');
      this.levels.set(id, this.levelOf(id, rule, this.report(id)));
      if (this.frame.lies && leadsFace(rule)) this.seen.set(id, this.seenLevel(id, rule));
    }
  }

  /** Others are counted from where the eyes are seen, which on a part that lies is a little beside the height they were to have. */
  private seenLevel(id: string, rule: FeatureRule): Level {
    const { level } = placeOne(this.frame, { ...this.toPlace(id, rule), report: () => {} });
    return level;
  }

  private levelOf(id: string, rule: FeatureRule, report: Report): Level {
    const { form, frame } = this;
    const settle = (title: string, vertical: Vertical): Suggestion => ({
      title,
      edits: [writeRule(form.part, id, { ...rule, vertical })],
    });
    const middle = Math.max(1, Math.min(form.fabric.rounds - 1, Math.round(form.fabric.rounds / 2)));
    const standing = leadsFace(rule) ? usualEyeLine(form) : middle;
    return levelFor(frame, rule.vertical, {
      name: id,
      sort: leadsFace(rule) ? 'eyes' : 'feature',
      reach: reachOf(rule),
      usual: frame.lies ? 0 : standing,
      anchor: (kind) => this.counted(id, kind),
      report,
      settle,
    });
  }

  /** What a feature is counted from, with its edges. */
  private counted(id: string, kind: FeatureKind): CountedAnchor | undefined {
    const anchor = this.ruled.get(this.goesBy(kind, id) ?? '');
    const level = anchor && (this.seen.get(anchor.id) ?? this.levels.get(anchor.id));
    return anchor && level !== undefined ? { level, reach: countedReach(anchor.rule) } : undefined;
  }

  /** How far what a feature's height is counted from reaches. */
  private reachOfAnchor({ id, rule }: Ruled): Reach {
    const anchor = this.ruled.get(this.waits(id, hangsOn(rule.vertical)) ?? '');
    return anchor ? countedReach(anchor.rule) : lineEdge;
  }

  /**
   * Where the front lies: by the rounds beside the eyes, which lead a face; without eyes by those of everything that is not at the back.
   */
  private opposite(): number {
    const { part, fabric, starts } = this.form;
    const lines = this.frame.lies ? this.linesOfEyes() : this.linesOfFace();
    const beside = lines.flatMap((line) => [line, line + 1]);
    return frontAzimuth(part, fabric, starts, beside);
  }

  /** On a part that lies: the two lines of its eyes. */
  private linesOfEyes(): number[] {
    const eyes = [...this.ruled.values()].find(({ rule }) => leadsFace(rule));
    if (!eyes) return [];
    const { units } = placeOne(this.frame, {
      ...this.toPlace(eyes.id, eyes.rule),
      report: () => {},
      level: 0,
    });
    return units.map(({ fromLine }) => fromLine).sort((a, b) => a - b);
  }

  private linesOfFace(): number[] {
    const eyes = this.levels.get('eyes');
    if (eyes !== undefined) return [eyes];
    const forward = [...this.ruled.values()].filter(({ rule }) => !isAtBack(rule.sideways));
    return forward.flatMap(({ id }) => this.levels.get(id) ?? []);
  }

  /** A face is where its eyes are: where their stitches are named and are there, the front goes with them. */
  private namedFront(): number | null {
    const { form } = this;
    const eyes = this.ruled.get('eyes');
    const line = this.levels.get('eyes');
    if (form.part.front || this.frame.lies || !eyes || line === undefined || !leadsFace(eyes.rule))
      return null;
    const { sideways, seat } = eyes.rule;
    const [one, other] = sideways.by === 'holes' ? sideways.holes : [];
    const holes = seatHoles(form, line, seat ?? 'foot');
    if (one === undefined || other === undefined || one === other) return null;
    if (one < 1 || other > holes.count) return null;
    const { a, b } = namedPair(1, [one, other], holes.count);
    return holeAzimuth(holes, (a + b) / 2);
  }

  private resolveSideways(): PlacedFeature[] {
    const ids = [...this.ruled.keys()];
    const order = inOrder(ids, (id) => {
      const rule = this.ruled.get(id)?.rule;
      return rule ? this.waits(id, standsBy(rule.sideways)) : null;
    });
    const placed = new Map<string, FeaturePlacement>();
    for (const { id, circular } of order) {
      const feature = this.ruled.get(id)!;
      const kind = standsBy(feature.rule.sideways);
      const told = feature.findings.some(({ code }) => code === 'anchor-missing');
      if (kind && !circular && !told && !this.anchors.has(this.goesBy(kind, id) ?? ''))
        this.missing(id, kind, 'beside');
      const one = placeOne(this.frame, this.toPlace(id, feature.rule));
      placed.set(id, { ...one, counted: this.reachOfAnchor(feature) });
      this.anchors.set(id, anchorOf(this.frame, one));
    }
    return [...this.ruled.values()].map((feature) => ({ ...feature, placed: placed.get(feature.id)! }));
  }

  private toPlace(id: string, rule: FeatureRule) {
    return {
      id,
      rule,
      level: this.levels.get(id) ?? 1,
      anchor: (kind: FeatureKind) => this.anchors.get(this.goesBy(kind, id) ?? ''),
      report: this.report(id),
    };
  }

  private retry(id: string, rule: FeatureRule): FeaturePlacement {
    const silent: Report = () => {};
    const level = this.levelOf(id, rule, silent);
    const asked = { ...this.toPlace(id, rule), level, report: silent };
    const leads = leadsFace(rule) && !this.form.part.front && rule.sideways.by !== 'holes';
    if (!leads || this.frame.lies) return placeOne(this.frame, asked);
    // The front goes along with the eyes.
    const { part, fabric, starts } = this.form;
    return placeOne(frameOf(this.form, frontAzimuth(part, fabric, starts, [level, level + 1])), asked);
  }

  private circle(id: string): Finding {
    return { ...saying('anchor-circle', { name: id, lies: this.frame.lies }), severity: 'error' };
  }

  private missing(id: string, kind: FeatureKind, how: 'on' | 'beside'): void {
    const facts = { name: id, to: kind, how, lies: this.frame.lies };
    this.report(id)({ ...saying('anchor-missing', facts), severity: 'warning' });
  }
}

/** Tells a finding of which part and sentence it is. */
export function problemOf(
  form: PartForm,
  { id, step }: Pick<PlacedFeature, 'id' | 'step'>,
  finding: Finding,
): Problem {
  return {
    ...finding,
    part: form.part.name,
    line: step.line,
    column: step.span.from + 1,
    where: { feature: id, ...finding.where },
    suggestions: finding.suggestions ?? [],
  };
}
