import { useEffect, useMemo, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { DrawnOutline } from '@core/foundations/fields';
import type { Body, Step } from '@core/record/model';
import {
  curveName,
  Drag,
  isMet,
  reachOf,
  settle,
  systemOf,
  type SolvedDrawing,
  type StudiedDrawing,
} from '@core/shaping/drawn';
import {
  problemIn,
  withoutRelations,
  withPlaces,
  withRelation,
  type DimensionOffer,
  type NewRelation,
} from '@core/shaping/drawnEdits';
import {
  dimensionWord,
  drawingFaults,
  freedomSentence,
  oneTooManySentence,
  reachSentence,
  RELATION_WORDS,
  sentenceOf,
} from '@core/reporting/wording';

import type { BehindOutline } from '@core/shaping/part';

import { labelOf, lengthOf } from '../../inRepair/labelOf';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Wrong } from '../../shared/Field';
import { ValueSheet } from '../../values/ValueSheet';
import type { Hit } from './boardView';
import { DimensionSheet } from './DimensionSheet';
import { DrawBar } from './DrawBar';
import { drawnPoints } from './Drawn';
import { OutlineBoard } from './OutlineBoard';
import { PickedBar, type OwnSize, type PickedThings } from './PickedBar';
import { ProblemBar } from './ProblemBar';
import { PickByName } from './PickByName';
import { isPathField, nameIn } from './naming';
import { useFollowing } from './useFollowing';
import { cutsIn, useShiftedBehind } from './useShiftedBehind';
import type { Drawing } from './useDrawing';
import { useLines } from './useLines';
import { useSeen } from './useSeen';
import { WholeDrawing } from './WholeDrawing';

type Dimension = NonNullable<DrawnOutline['dimensions']>[number];
const NOTHING: PickedThings = { points: new Set(), curves: new Set() };

/** The board, what is said of the drawing, and what can be done with it. */
export function OutlineEditor({
  drawing,
  body,
  step,
  field,
  behind,
  seen,
}: {
  drawing: Drawing;
  body: Body;
  step: Step;
  field: string;
  /** What is seen behind the drawing: the part, or another body. */
  behind: BehindOutline | null;
  seen: { otherId: string | null; show(otherId: string | null): void };
}) {
  const { numbers, repair } = useRepairContext();
  const show = useShow();
  const [isFollowing, setFollowing] = useState(false);
  const at = { bodyId: body.id, stepId: step.id, field, otherId: seen.otherId };
  const pieces = useSeen(at, behind, isFollowing);
  const lines = useLines(drawing, useFollowing(drawing, behind, pieces, seen.otherId));
  useEffect(() => setFollowing(lines.tool === 'follow'), [lines.tool]);
  const [picked, setPicked] = useState<PickedThings>(NOTHING);
  const [relation, setRelation] = useState<string | null>(null);
  const [sizing, setSizing] = useState<Dimension | DimensionOffer | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  /** A relation that says nothing new, which may be kept all the same. */
  const [needless, setNeedless] = useState<NewRelation | null>(null);
  const [pulled, setPulled] = useState<{ point: string; drag: Drag; drawing: SolvedDrawing } | null>(null);
  const { outline, studied } = drawing;
  const shifted = useShiftedBehind(behind, studied.curves);
  const [ownSize, setOwnSize] = useState<OwnSize | null>(null);
  const nameOf = (of: DrawnOutline) => (id: string) =>
    nameIn(of, id, (value) => labelOf({ value, mm: lengthOf(value, numbers) }, numbers, show).tag);
  const faults = [...new Set(drawing.waiting.map(sentenceOf)), ...drawingFaults(studied, nameOf(outline))];
  const wrong = new Set([...studied.conflict, ...studied.disagreeing, ...studied.misused.keys()]);
  const as = isPathField(field) ? 'path' : 'outline';
  const problemIs = useMemo(() => problemIn(studied, as), [studied, as]);
  // Nothing is wrong with what is not done yet, nor while something is pulled.
  const problemHere = lines.tool || pulled || faults.length > 0 ? null : problemIs;
  const only = picked.points.size === 1 && picked.curves.size === 0 ? [...picked.points][0]! : null;
  const reach = useMemo(() => (only === null ? null : reachIn(drawing, only)), [drawing, only]);
  const isPicking = picked.points.size + picked.curves.size > 0;
  const clear = () => {
    setPicked(NOTHING);
    setRelation(null);
    setProblem(null);
    setNeedless(null);
  };
  const tap = (hit: Hit, at: readonly [number, number], perPx: number) => {
    setProblem(null);
    setNeedless(null);
    setRelation(null);
    if (lines.tool) lines.tap(hit, at, perPx);
    else if (!hit) clear();
    else setPicked(toggled(picked, hit));
  };
  /** Of a drawing with one relation or size more: that it moves as much as before. */
  const saysNothingNew = (tried: StudiedDrawing) =>
    isMet(studied) && isMet(tried) && tried.freedom.waysLeft === studied.freedom.waysLeft;
  const keepRelation = (wanted: NewRelation) => {
    drawing.keep(withRelation(outline, wanted), `${RELATION_WORDS[wanted.kind]}.`);
    clear();
  };
  const relate = (wanted: NewRelation) => {
    const next = withRelation(outline, wanted);
    const tried = drawing.tried(next);
    setNeedless(null);
    if (tried.misused.size > studied.misused.size) {
      setProblem(drawingFaults(tried, nameOf(next))[0] ?? null);
      return;
    }
    if (tried.conflict.length > 0 && studied.conflict.length === 0) {
      setProblem(
        `${RELATION_WORDS[wanted.kind]} goes against: ${tried.conflict
          .filter(
            (id) =>
              outline.relations.some((one) => one.id === id) ||
              outline.dimensions?.some((one) => one.id === id),
          )
          .map(nameOf(next))
          .join(', ')}. Take one of them away first.`,
      );
      return;
    }
    if (saysNothingNew(tried)) {
      setProblem(oneTooManySentence(RELATION_WORDS[wanted.kind]));
      setNeedless(wanted);
      return;
    }
    keepRelation(wanted);
  };
  const pull = (point: string, to: readonly [number, number]) => {
    let now = pulled;
    if (now?.point !== point) {
      const system = systemOf(drawing.input);
      now = { point, drag: new Drag(system, settle(system).values, point), drawing: studied };
    }
    setPulled({ ...now, drawing: now.drag.to(to) });
  };
  const letGo = () => {
    if (pulled) drawing.keep(withPlaces(outline, pulled.drawing), 'Moved.');
    setPulled(null);
  };
  const chipOf = (dimension: Dimension) => {
    const measured = studied.measures.get(dimension.id) ?? 0;
    if (dimension.kind === 'angle') {
      const degrees = `${Number(((measured * 180) / Math.PI).toFixed(1))}°`;
      return { text: degrees, spoken: degrees };
    }
    if (dimension.reference)
      return { text: show.number(measured), spoken: `${show.length(measured)}, only reported` };
    const { tag, number, spoken } = labelOf(
      { value: dimension.value, mm: lengthOf(dimension.value, numbers) },
      numbers,
      show,
    );
    return { text: tag ? `${tag} ${number}` : number, spoken };
  };
  const whole = (
    <WholeDrawing
      drawing={drawing}
      title={`${repair.head.name} ${body.name} step ${body.steps.indexOf(step) + 1}`}
      onProblem={setProblem}
    />
  );
  const taken = outline.relations.find(({ id }) => id === relation);
  return (
    <View className="flex-1">
      <View className="min-h-[220px] flex-1">
        <OutlineBoard
          outline={outline}
          studied={studied}
          shown={pulled?.drawing ?? studied}
          picked={{ ...picked, relation }}
          wrong={wrong}
          begun={lines.begun}
          isSmooth={lines.tool === 'smooth'}
          behind={shifted}
          cuts={cutsIn(pieces)}
          filled={lines.filled}
          ring={problemHere?.at ?? null}
          isDrawing={lines.tool !== null}
          textOf={chipOf}
          onTap={tap}
          onPull={pull}
          onLetGo={letGo}
          onRelation={(id) => {
            clear();
            setRelation(id);
          }}
          onDimension={(id) => setSizing(outline.dimensions!.find((one) => one.id === id)!)}
        />
      </View>
      <ScrollView
        className="max-h-[46%] grow-0"
        contentContainerClassName="pb-1 pt-1.5"
        keyboardShouldPersistTaps="handled"
      >
        <View role="status" className="px-3 pb-1.5">
          <Text className="font-sans text-[15px] leading-[21px] text-ink">
            {lines.tool
              ? lines.hint
              : outline.curves.length === 0
                ? 'Choose what to draw with. Roughly is enough: relations and sizes make it exact.'
                : (reach ?? freedomSentence(studied.freedom))}
          </Text>
        </View>
        {problem ? (
          <View className="gap-1.5 px-3 pb-1.5">
            <Wrong text={problem} />
            {needless ? <Button label="Keep it all the same" onPress={() => keepRelation(needless)} /> : null}
          </View>
        ) : null}
        {problemHere && !isPicking && !taken ? (
          <ProblemBar problem={problemHere} drawing={drawing} onTool={lines.take} />
        ) : null}
        {faults.map((fault) => (
          <View key={fault} className="px-3 pb-1.5">
            <Wrong text={fault} />
          </View>
        ))}
        {taken ? (
          <View className="flex-row items-center gap-2 px-3 pb-2">
            <Text className="min-w-0 flex-1 font-semibold text-[15px] text-ink">
              {RELATION_WORDS[taken.kind]}
            </Text>
            <Button
              tone="danger"
              label="Take it away"
              onPress={() => {
                drawing.keep(
                  withoutRelations(outline, new Set([taken.id])),
                  `${RELATION_WORDS[taken.kind]}: taken away.`,
                );
                clear();
              }}
            />
          </View>
        ) : isPicking ? (
          <PickedBar
            drawing={drawing}
            picked={picked}
            onRelation={relate}
            onMeasure={setSizing}
            onOwnSize={setOwnSize}
            onDone={clear}
            onProblem={setProblem}
          />
        ) : (
          <DrawBar
            lines={lines}
            mayCut={outline.curves.length > 0}
            mayEnclose={as === 'outline'}
            seen={{
              ...seen,
              isAny: behind !== null,
              others: repair.bodies.filter(({ id, removed }) => id !== body.id && !removed),
            }}
          />
        )}
        {lines.tool === null && outline.curves.length === 0 ? (
          <View className="flex-row flex-wrap gap-1.5 px-3 pb-1.5">{whole}</View>
        ) : null}
        {taken || lines.tool !== null || outline.curves.length === 0 ? null : (
          <PickByName
            drawing={{ points: pickable(outline, studied), curves: studied.curves }}
            picked={picked}
            following={followingIn(outline)}
            said={[
              ...outline.relations.map(({ id, kind }) => ({
                id,
                label: `${RELATION_WORDS[kind]}, a relation`,
                open: () => {
                  clear();
                  setRelation(id);
                },
              })),
              ...(outline.dimensions ?? []).map((dimension) => ({
                id: dimension.id,
                label: `${dimensionWord(dimension)} ${chipOf(dimension).text}`,
                open: () => setSizing(dimension),
              })),
            ]}
            beside={isPicking ? null : whole}
            onPick={(hit) => {
              setRelation(null);
              setPicked(toggled(picked, hit));
            }}
          />
        )}
      </ScrollView>
      {ownSize ? (
        <ValueSheet
          body={body}
          step={step}
          field={`${field}.${ownSize.path}`}
          what={ownSize.word.toLowerCase()}
          next={null}
          onNext={() => setOwnSize(null)}
          onClose={() => {
            setOwnSize(null);
            clear();
          }}
        />
      ) : null}
      {sizing ? (
        <DimensionSheet
          drawing={drawing}
          dimension={sizing}
          measured={measuredOf(drawing, sizing)}
          sentenceOf={(tried: StudiedDrawing, next) => {
            if (!isMet(tried) || tried.disagreeing.length > 0)
              return drawingFaults(tried, nameOf(next))[0] ?? null;
            // Measured sizes more than needed are welcome: they are adjusted together.
            const isMeasured = tried.residuals.some(({ id }) => id === next.dimensions?.at(-1)?.id);
            return 'id' in sizing || isMeasured || !saysNothingNew(tried)
              ? null
              : oneTooManySentence(dimensionWord(sizing as Dimension));
          }}
          onClose={() => {
            setSizing(null);
            clear();
          }}
        />
      ) : null}
    </View>
  );
}

/** Points that a hand has to do with. */
const pickable = (outline: DrawnOutline, studied: StudiedDrawing) => new Map(drawnPoints(outline, studied));

/** How far a point with one way left can go, in words; null for any other. */
function reachIn({ input, studied }: Drawing, point: string): string | null {
  const way = studied.freedom.points.get(point);
  if (!way || way === 'anyWay' || !isMet(studied)) return null;
  return reachSentence(way, reachOf(systemOf(input), point, way));
}

/** Curves and points that follow the part, by their own names. */
const followingIn = (outline: DrawnOutline): PickedThings => ({
  points: new Set(outline.points.flatMap(({ id, follows }) => (follows ? [id] : []))),
  curves: new Set(outline.curves.flatMap((curve, index) => (curve.follows ? [curveName(curve, index)] : []))),
});

/** What a dimension comes to, whether it stands or not. */
function measuredOf(drawing: Drawing, dimension: Dimension | DimensionOffer): number {
  if ('id' in dimension) return drawing.studied.measures.get(dimension.id) ?? 0;
  const asked = {
    ...dimension,
    ...(dimension.kind === 'angle' ? { angle: 0 } : { value: { from: 'number', mm: 0 } }),
    id: 'asked',
    reference: true,
  } as Dimension;
  const { outline } = drawing;
  return (
    drawing.tried({ ...outline, dimensions: [...(outline.dimensions ?? []), asked] }).measures.get('asked') ??
    0
  );
}

function toggled({ points, curves }: PickedThings, hit: NonNullable<Hit>): PickedThings {
  const flip = (set: ReadonlySet<string>, id: string) => {
    const next = new Set(set);
    if (!next.delete(id)) next.add(id);
    return next;
  };
  return hit.point === undefined
    ? { points, curves: flip(curves, hit.curve) }
    : { points: flip(points, hit.point), curves };
}
