import { useState } from 'react';
import { View } from 'react-native';

import type { DrawnOutline } from '@core/foundations/fields';
import { numberValue } from '@core/record/model';
import { dimensionWord, RELATION_WORDS } from '@core/reporting/wording';
import { curveName, pointsOfCurve } from '@core/shaping/drawn';
import {
  cornerCutBy,
  letGo,
  linesAtCorner,
  offersFor,
  spanOf,
  withEasedCorner,
  withMirrored,
  withNames,
  withoutCurves,
  withRepeatedRound,
  withRoundedCorner,
  withSharpCorner,
  withWrapped,
  type DimensionOffer,
  type NewRelation,
} from '@core/shaping/drawnEdits';

import { CountSteps } from '../../shared/CountSteps';
import { Button } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { Chip } from './Chip';
import type { Drawing } from './useDrawing';

/** A number that a curve has of its own, by its path in the outline. */
export interface OwnSize {
  path: string;
  word: string;
}

/** What the sizes of an ellipse are called. */
function ownSizesOf(outline: DrawnOutline, { points, curves }: PickedThings): OwnSize[] {
  if (points.size > 0 || curves.size !== 1) return [];
  const [id] = curves;
  const place = outline.curves.findIndex((curve, index) => curveName(curve, index) === id);
  return outline.curves[place]?.kind === 'ellipse'
    ? [
        { path: `curves.${place}.length`, word: 'Length' },
        { path: `curves.${place}.breadth`, word: 'Width' },
      ]
    : [];
}

export interface PickedThings {
  points: ReadonlySet<string>;
  curves: ReadonlySet<string>;
}

/** What can be done with what is picked: relations, sizes, and what changes the drawing. */
export function PickedBar({
  drawing,
  picked,
  onRelation,
  onMeasure,
  onOwnSize,
  onDone,
  onProblem,
}: {
  drawing: Drawing;
  picked: PickedThings;
  onRelation(relation: NewRelation): void;
  onMeasure(offer: DimensionOffer): void;
  /** A number of the curve itself: those of an ellipse. */
  onOwnSize(size: OwnSize): void;
  /** Nothing is picked any more. */
  onDone(): void;
  onProblem(sentence: string): void;
}) {
  const [repeating, setRepeating] = useState(false);
  const [count, setCount] = useState(3);
  const { outline, studied } = drawing;
  const points = [...picked.points];
  const curves = [...picked.curves];
  const offers = offersFor(studied, outline, points, curves);
  const lines = curves.filter((id) => studied.curves.find((curve) => curve.id === id)?.kind === 'line');
  const keep = (next: DrawnOutline | null, undo: string, problem: string) => {
    if (!next) onProblem(problem);
    else {
      drawing.keep(next, undo);
      onDone();
    }
  };
  const corner = points.length === 1 && curves.length === 0 ? linesAtCorner(outline, points[0]!) : null;
  const isCorner = curves.length === 1 && points.length === 0 && cornerCutBy(outline, curves[0]!) !== null;
  const cutCorner = (cut: typeof withRoundedCorner, word: string) => {
    const drawnMm = Number((spanOf(studied) / 12).toPrecision(1));
    keep(
      cut(outline, studied, points[0]!, drawnMm, numberValue(drawnMm)),
      `The corner is ${word}.`,
      'There is no room for that here: the lines are too short, or almost in line.',
    );
  };
  const isRound = (id: string) => {
    const kind = studied.curves.find((curve) => curve.id === id)?.kind;
    return kind === 'circle' || kind === 'arc';
  };
  const others = new Set(curves.slice(0, -1));
  const about = curves.at(-1);
  const isFollowing =
    outline.points.some(({ id, follows }) => follows && picked.points.has(id)) ||
    outline.curves.some((curve, index) => curve.follows && picked.curves.has(curveName(curve, index)));
  const isHelper = curves.every((id) => withNames(outline).curves.find((curve) => curve.id === id)?.helper);
  return (
    <View className="gap-2 px-3 pb-2">
      <View className="flex-row flex-wrap gap-1.5">
        {offers.relations.map((relation) => (
          <Chip
            key={JSON.stringify(relation)}
            label={RELATION_WORDS[relation.kind]}
            sign={relation.kind}
            onPress={() => onRelation(relation)}
          />
        ))}
        {ownSizesOf(outline, picked).map((size) => (
          <Chip key={size.path} label={size.word} isSize onPress={() => onOwnSize(size)} />
        ))}
        {offers.dimensions.map((offer) => (
          <Chip
            key={JSON.stringify(offer)}
            label={dimensionWord(offer as Parameters<typeof dimensionWord>[0])}
            isSize
            onPress={() => onMeasure(offer)}
          />
        ))}
      </View>
      <View className="flex-row flex-wrap gap-1.5">
        {corner ? (
          <>
            <Chip label="Round the corner" onPress={() => cutCorner(withRoundedCorner, 'rounded')} />
            <Chip label="Ease the corner" onPress={() => cutCorner(withEasedCorner, 'eased')} />
          </>
        ) : null}
        {isCorner ? (
          <Chip
            label="Make it sharp again"
            onPress={() =>
              keep(
                withSharpCorner(outline, curves[0]!),
                'The corner is sharp again.',
                'This curve cuts no corner.',
              )
            }
          />
        ) : null}
        {curves.length >= 2 && points.length === 0 && curves.every(isRound) ? (
          <Chip
            label="Stretch a band round them"
            onPress={() =>
              keep(
                withWrapped(outline, studied, picked.curves),
                'A band is stretched round them.',
                'One of them lies within the other: a band round them would touch that one alone.',
              )
            }
          />
        ) : null}
        {curves.length >= 2 && lines.includes(about!) && points.length === 0 ? (
          <Chip
            label="Mirror in the last line"
            onPress={() =>
              keep(
                withMirrored(outline, studied, others, about!),
                'Mirrored.',
                'Pick what is to be mirrored, and last of all the line to mirror it in. An ellipse can’t be mirrored here.',
              )
            }
          />
        ) : null}
        {curves.length >= 1 && points.length === 1 ? (
          <Chip label="Repeat round the point" onPress={() => setRepeating(true)} />
        ) : null}
        {isFollowing ? (
          <Chip
            label="Let it go from the part"
            onPress={() =>
              keep(letGo(outline, picked), 'It stays as it is drawn, whatever the part does.', '')
            }
          />
        ) : null}
        {curves.length > 0 ? (
          <Chip
            label={isHelper ? 'Make it part of the outline' : 'Make it a construction line'}
            onPress={() => keep(withHelper(outline, picked.curves, !isHelper), 'Changed.', '')}
          />
        ) : null}
        {curves.length > 0 || points.length > 0 ? (
          <Chip
            label="Delete"
            isDanger
            onPress={() =>
              keep(withoutPicked(outline, picked), 'Deleted.', 'The point where the outline begins stays.')
            }
          />
        ) : null}
        <Chip label="Pick nothing" onPress={onDone} />
      </View>
      {repeating ? (
        <Sheet title="Repeat round the point" showsPart onClose={() => setRepeating(false)}>
          <CountSteps what="copy" least={2} most={60} value={count} onChange={setCount} />
          <Button
            tone="primary"
            label={`Make ${count} of them`}
            onPress={() => {
              setRepeating(false);
              keep(
                withRepeatedRound(outline, studied, picked.curves, points[0]!, count),
                `Repeated: ${count} in all.`,
                'An ellipse has no copy that is turned. Repeat the step instead, or draw it by arcs.',
              );
            }}
          />
        </Sheet>
      ) : null}
    </View>
  );
}

function withHelper(outline: DrawnOutline, ids: ReadonlySet<string>, isHelper: boolean): DrawnOutline {
  const named = withNames(outline);
  return {
    ...named,
    curves: named.curves.map((curve) => {
      if (!ids.has(curve.id!)) return curve;
      const { helper: _, ...plain } = curve;
      return isHelper ? { ...plain, helper: true as const } : plain;
    }),
  };
}

/** Without what is picked: a point takes the curves with it that end there. */
function withoutPicked(outline: DrawnOutline, { points, curves }: PickedThings): DrawnOutline | null {
  const named = withNames(outline);
  const gone = new Set([
    ...curves,
    ...named.curves.flatMap((curve) =>
      pointsOfCurve(curve).some((id) => points.has(id)) ? [curve.id!] : [],
    ),
  ]);
  const next = withoutCurves(named, gone);
  const loose = next.points.filter(({ id }) => !points.has(id));
  if (gone.size === 0 && loose.length === next.points.length) return null;
  // A point that is picked goes with what was said of it.
  return withoutCurves({ ...next, points: loose.length > 0 ? loose : next.points }, new Set());
}
