import { router } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';

import type { Repair } from '@core/record/model';
import type { Vec3 } from '@core/foundations/vectors';
import type { Annotation, OpenedSolid } from '@core/shaping/part';

import { PartView } from '../part/PartView';
import type { TakenArrow } from '../part/ArrowHandles';
import type { SceneBody } from '../part/drawnBody';
import type { Stance } from '../part/stances';
import { useBodyViews, viewOf } from '../part/bodyViews';
import { CutSlider } from '../part/CutSlider';
import { MeasureBar } from '../part/MeasureBar';
import { usePartTool } from '../part/partTool';
import { PickBar } from '../part/PickBar';
import { PointingBar } from '../part/PointingBar';
import { PartToggle } from '../part/PartToggle';
import { StageBar } from '../part/StageBar';
import { StanceBar } from '../part/StanceBar';
import { StrengthSheet } from './StrengthSheet';
import { usePartWork } from '../part/usePartWork';
import { useCutOpen } from '../part/useCutOpen';
import { BuildSign } from './BuildSign';
import { drawnOf } from './drawnOf';
import { PulledArrow } from './PulledArrow';
import { useShownSizes } from './useShownSizes';
import { useShow } from '../preferences/useShow';
import { useAtHand } from '../inRepair/atHand';
import { labelOf, trailTargetOf } from '../inRepair/labelOf';
import { openSize, openTrail } from '../inRepair/opened';
import { useRepairContext } from '../inRepair/useRepairContext';
import { useSolidView } from '../inRepair/useSolidView';

/** Narrower than this, what can be done with the part is shown by signs, px. */
const WORDS_FROM_PX = 640;

/** While one is pulled, they tell what was, not where it is. */
const NO_SIZES: Annotation[] = [];

/** The stances at its foot with the room about them, px. */
const STANCE_BAR_PX = 50;
/** ... and of the slider above it, while the part is cut open. */
const CUT_SLIDER_PX = 44;
/** What tells how many of its sizes are shown, with the room about it, px: no label stands under it. */
const SIZES_TOGGLE = { width: 118, height: 46 };

/** The part with what goes on it: sizes, stances, cutting open, and a word while it is being built. */
export function PartPane({ stage }: { stage: string }) {
  const { repair, numbers } = useRepairContext();
  const solid = useSolidView();
  const [stance, setStance] = useState<Stance | null>('corner');
  const [lastStance, setLastStance] = useState<Stance>('corner');
  const [showGhost, setShowGhost] = useState(true);
  const [width, setWidth] = useState(0);
  const short = width < WORDS_FROM_PX;
  const controls = stage === 'shape' || stage === 'make';

  const spares = solid.bodies.filter((body) => roleOf(repair, body.bodyId) === 'spare');
  const cut = useCutOpen(spares, lastStance);
  const { opened, face: faceCut } = cut;
  const [asksStrength, setAsksStrength] = useState(false);
  const look = useRef<() => Vec3>(() => [0, -1, 0]);
  const { views } = useBodyViews();
  const work = usePartWork(repair, solid.bodies, { canTouch: stage === 'shape' });
  const { stage: stageShown, stageMesh, pointing } = work;
  const { setMeasuring, setStage, end } = usePartTool();

  // eslint-disable-next-line react-hooks/exhaustive-deps -- bodies change by themselves
  const drawn = useMemo(() => drawnOf(solid, repair), [solid, repair.bodies]);
  const bodies = useMemo(
    () =>
      drawn.flatMap((body): SceneBody[] => {
        if (stageShown) {
          // The making of one body: it alone, as it was then.
          if (body.bodyId !== stageShown.bodyId || !stageMesh) return [];
          const plain = { opened: null, centreLines: [], failedTool: null };
          return [{ id: body.bodyId, ghost: false, mesh: stageMesh, ...plain }];
        }
        const role = roleOf(repair, body.bodyId) ?? 'spare';
        const view = viewOf(views, bodyOf(repair, body.bodyId));
        const ghost = view === 'ghost';
        if (!body.mesh || view === 'hidden' || (role === 'counterpart' && !showGhost)) return [];
        const cutOpen: OpenedSolid | null = opened.get(body.bodyId) ?? null;
        const { mesh, centreLines, failedTool } = body;
        const moved = pointing?.bodyId === body.bodyId ? pointing.moved : undefined;
        return [{ id: body.bodyId, ghost, mesh, opened: cutOpen, centreLines, failedTool, moved }];
      }),
    // Roles change only with the repair's bodies.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [drawn, opened, showGhost, views, stageShown, stageMesh, pointing],
  );
  const atHand = useAtHand(({ stepId }) => stepId);
  const { annotations, hidden, showsAll, toggleAll } = useShownSizes({
    stage,
    drawn,
    // While something is picked or measured, sizes would only be in the way.
    isOff: stageShown !== null || work.measuring || work.pointing !== null,
    isSmall: short,
  });

  const show = useShow();
  const textOf = useCallback((annotation: Annotation) => labelOf(annotation, numbers, show), [numbers, show]);
  const onPressLabel = useCallback(
    ({ value }: Annotation) => {
      const base = `/repair/${repair.head.id}` as const;
      if (value.from === 'fit') {
        openTrail(value);
        router.replace(`${base}/fits`);
      } else if (value.from === 'size') {
        openSize(value.id);
        router.replace(`${base}/sizes`);
      } else if (value.from === 'layout') {
        router.replace(`${base}/layouts`);
      } else {
        router.replace(`${base}/shape`);
      }
    },
    [repair.head.id],
  );
  const onLongPressLabel = useCallback(({ value }: Annotation) => {
    const target = trailTargetOf(value);
    if (target) openTrail(target);
  }, []);
  const [taken, setTaken] = useState<TakenArrow | null>(null);
  const pulledBody = bodyWith(repair, taken?.annotation.stepId);
  const pull = useMemo(
    () => ({
      canPull: ({ value, stepId }: Annotation) =>
        stage === 'shape' && value.from === 'number' && stepId === atHand,
      onTake: setTaken,
    }),
    [stage, atHand],
  );
  const onStance = useCallback(
    (next: Stance | null) => {
      setStance(next);
      if (!next) return;
      setLastStance(next);
      faceCut(null);
    },
    [faceCut],
  );
  // What can be done at a face is offered on its own stage alone, and of the recipe that the face is of.
  useEffect(() => () => usePartTool.setState({ touched: null }), [stage, repair.bodies]);
  useEffect(() => {
    // A phone shows the whole of a small picture best from a corner once, then where it was left.
    if (!controls) {
      cut.close();
      end();
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [controls]);

  const hasGhost = solid.bodies.some((body) => roleOf(repair, body.bodyId) === 'counterpart' && body.mesh);
  const making = repair.bodies.find(({ id }) => id === (stageShown?.bodyId ?? spares[0]?.bodyId));
  const coveredBelow = controls ? STANCE_BAR_PX + (cut.plane ? CUT_SLIDER_PX : 0) : 0;
  const hasSizesToggle = hidden > 0 || (showsAll && annotations.length > 0);
  const outOfDate = solid.bodies.some((body) => body.outOfDate && body.mesh);
  return (
    <View
      className="flex-1 bg-bench"
      onLayout={({ nativeEvent }) => setWidth(Math.round(nativeEvent.layout.width))}
    >
      <PartView
        bodies={bodies}
        annotations={taken ? NO_SIZES : annotations}
        textOf={textOf}
        onPressLabel={onPressLabel}
        onLongPressLabel={onLongPressLabel}
        pull={pull}
        stance={stance}
        onStance={onStance}
        marks={work.marks}
        coveredBelow={coveredBelow}
        coveredCorner={hasSizesToggle ? SIZES_TOGGLE : undefined}
        pickable={work.pickable}
        onPick={work.onPick}
        look={look}
        description={describe(repair.head.name, spares.length, annotations.length)}
      />
      {taken && pulledBody ? (
        <View pointerEvents="none" className="absolute left-0 right-0" style={{ bottom: coveredBelow }}>
          <PulledArrow
            key={`${taken.from.x} ${taken.from.y}`}
            taken={taken}
            body={pulledBody}
            onEnd={() => setTaken(null)}
          />
        </View>
      ) : null}
      {work.job ? (
        <PickBar job={work.job} body={making} mesh={work.meshOf(work.job.bodyId)} onDone={work.take} />
      ) : work.measuring ? (
        <MeasureBar repair={repair} bodies={solid.bodies} />
      ) : work.pointing ? (
        <PointingBar pointing={work.pointing} />
      ) : stageShown && making ? (
        <StageBar body={making} />
      ) : (
        <BuildSign
          empty={bodies.length === 0}
          outOfDate={outOfDate}
          isFromBefore={solid.bodies.length === 0 && bodies.length > 0}
        />
      )}
      {cut.plane ? (
        <CutSlider
          cut={cut}
          onFace={() => cut.face(look.current())}
          onStrength={() => setAsksStrength(true)}
        />
      ) : null}
      {cut.plane && asksStrength ? (
        <StrengthSheet
          bodies={repair.bodies.filter(({ id }) => opened.has(id))}
          opened={opened}
          plane={cut.plane}
          farMm={Math.max(cut.range.max - cut.plane.at, cut.plane.at - cut.range.min)}
          onClose={() => setAsksStrength(false)}
        />
      ) : null}
      {hasSizesToggle ? (
        <View className="absolute left-1.5" style={{ bottom: coveredBelow }}>
          <PartToggle
            label={showsAll ? 'Fewer sizes' : `${annotations.length} of ${annotations.length + hidden} sizes`}
            on={showsAll}
            onPress={toggleAll}
            short
          />
        </View>
      ) : null}
      {controls && bodies.length > 0 ? (
        <StanceBar
          stance={stance}
          onStance={onStance}
          sides={making?.sides}
          short={short}
          ghost={hasGhost ? { on: showGhost, onPress: () => setShowGhost(!showGhost) } : null}
          cut={{ on: cut.plane !== null, onPress: cut.toggle }}
          measure={{ on: work.measuring, onPress: () => setMeasuring(!work.measuring) }}
          making={
            making && making.steps.length > 1 && stage === 'shape'
              ? {
                  on: stageShown !== null,
                  onPress: () => setStage(stageShown ? null : { bodyId: making.id, steps: 1 }),
                }
              : null
          }
        />
      ) : null}
    </View>
  );
}

const bodyOf = (repair: Pick<Repair, 'bodies'>, id: string) => repair.bodies.find((body) => body.id === id);

const bodyWith = ({ bodies }: Pick<Repair, 'bodies'>, stepId: string | undefined) =>
  bodies.find(({ steps }) => steps.some(({ id }) => id === stepId));

const roleOf = (repair: Pick<Repair, 'bodies'>, id: string) => bodyOf(repair, id)?.role;

const describe = (name: string, parts: number, sizes: number) =>
  parts === 0
    ? `${name}: nothing built yet.`
    : `Drawing of ${name}, with ${sizes} ${sizes === 1 ? 'size' : 'sizes'} on it.`;
