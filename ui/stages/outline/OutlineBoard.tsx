import { useEffect, useRef, useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import Svg, { Circle, G, Polyline } from 'react-native-svg';

import type { DrawnOutline } from '@core/foundations/fields';
import { dimensionWord, RELATION_WORDS } from '@core/reporting/wording';
import type { SolvedCurve, SolvedDrawing, StudiedDrawing } from '@core/shaping/drawn';
import type { Area } from '@core/shaping/drawnEdits';

import { colours } from '../../theme/colours';
import {
  fitted,
  hitAt,
  panned,
  pointsAlong,
  resized,
  toMm,
  toPx,
  zoomed,
  type BoardView,
  type Hit,
} from './boardView';
import { Drawn, drawnPoints } from './Drawn';
import { Begun, Behind, Filled, OriginCross, Ring } from './DrawnCurves';
import { Lens } from './Lens';
import { dimensionLines, marksOf, type Marks } from './marks';
import { RelationSign } from './RelationSign';

type Place = readonly [x: number, y: number];

/** A finger that moves less than this taps, px. */
const TAP_PX = 7;

/** The drawing under the fingers: taps pick or draw, a point is pulled along, an empty place moves the board, two fingers zoom. */
export function OutlineBoard({
  outline,
  studied,
  shown,
  picked,
  wrong,
  begun,
  isSmooth,
  behind,
  cuts,
  filled,
  ring,
  isDrawing,
  textOf,
  onTap,
  onPull,
  onLetGo,
  onRelation,
  onDimension,
}: {
  outline: DrawnOutline;
  studied: StudiedDrawing;
  /** The drawing as it is being pulled; as it stands otherwise. */
  shown: SolvedDrawing;
  picked: { points: ReadonlySet<string>; curves: ReadonlySet<string>; relation: string | null };
  /** Relations and dimensions that contradict each other. */
  wrong: ReadonlySet<string>;
  /** Places that a curve being drawn has so far, mm. */
  begun: readonly Place[];
  /** It is a smooth curve. */
  isSmooth: boolean;
  /** The part behind the outline, as segments, mm; null where nothing is known of it. */
  behind: Float32Array | null;
  /** Where the outline's plane cuts it. */
  cuts: readonly SolvedCurve[];
  /** Areas that are taken as the outline. */
  filled: readonly Area[];
  /** A place that something is wrong at, mm. */
  ring: Place | null;
  isDrawing: boolean;
  /** What the chip of a dimension says. */
  textOf(dimension: NonNullable<DrawnOutline['dimensions']>[number]): { text: string; spoken: string };
  onTap(hit: Hit, at: Place, perPx: number): void;
  onPull(point: string, to: Place): void;
  onLetGo(): void;
  onRelation(id: string): void;
  onDimension(id: string): void;
}) {
  const [view, setView] = useState<BoardView | null>(null);
  const [lens, setLens] = useState<Place | null>(null);
  const fingers = useRef(new Map<number, Place>());
  const began = useRef<{ at: Place; hit: Hit; moved: boolean } | null>(null);
  const area = useRef<HTMLDivElement | null>(null);
  const points = drawnPoints(outline, shown);
  const count = outline.curves.length;
  const fit = (width: number, height: number) => {
    // The part alone, as long as nothing is drawn: it says where to begin.
    const places =
      count === 0 && behind && behind.length > 0
        ? endsOf(behind)
        : [...points.map(([, place]) => place), ...shown.curves.flatMap(pointsAlong)];
    setView(fitted(places, width, height));
  };
  const isBehind = behind !== null;
  const touched = useRef(false);
  useEffect(() => {
    // Not under a hand that has begun: what it means to tap would move away.
    if (view && count === 0 && !isDrawing && !touched.current) fit(view.width, view.height);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once it is known what is behind
  }, [isBehind]);
  // What is drawn first decides how much is seen; later the hand does.
  const seen = useRef(0);
  useEffect(() => {
    // Over a part the hand draws where it wants to; what it can't see is brought into view.
    const isInView = (place: Place) => {
      const [x, y] = toPx(view!, place);
      return x >= 0 && y >= 0 && x <= view!.width && y <= view!.height;
    };
    if (
      view &&
      count > 0 &&
      seen.current === 0 &&
      !(isBehind && shown.curves.flatMap(pointsAlong).every(isInView))
    )
      fit(view.width, view.height);
    seen.current = count;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only as curves come and go
  }, [count]);
  const isMeasured = view !== null;
  const wheel = useRef<(event: WheelEvent) => void>(() => undefined);
  wheel.current = (event) => {
    event.preventDefault();
    setView((now) => now && zoomed(now, Math.exp(-event.deltaY / 400), placeOn(event)));
  };
  useEffect(() => {
    const element = area.current;
    const onWheel = (event: WheelEvent) => wheel.current(event);
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, [isMeasured]);
  const placeOn = (event: { clientX: number; clientY: number }): Place => {
    const box = area.current!.getBoundingClientRect();
    return [event.clientX - box.left, event.clientY - box.top];
  };
  const down = (event: React.PointerEvent) => {
    if (!view) return;
    touched.current = true;
    const at = placeOn(event);
    area.current!.setPointerCapture?.(event.pointerId);
    fingers.current.set(event.pointerId, at);
    began.current =
      fingers.current.size === 1
        ? {
            at,
            hit: hitAt(at, view, points, shown.curves, isDrawing ? new Map() : studied.freedom.points),
            moved: false,
          }
        : null;
  };
  const move = (event: React.PointerEvent) => {
    const before = fingers.current.get(event.pointerId);
    if (!before || !view) return;
    const at = placeOn(event);
    if (fingers.current.size === 2) {
      const other = [...fingers.current].find(([id]) => id !== event.pointerId)![1];
      const by =
        Math.hypot(at[0] - other[0], at[1] - other[1]) /
        Math.max(1, Math.hypot(before[0] - other[0], before[1] - other[1]));
      setView(panned(zoomed(view, by, other), (at[0] - before[0]) / 2, (at[1] - before[1]) / 2));
    } else if (began.current) {
      const { hit } = began.current;
      if (Math.hypot(at[0] - began.current.at[0], at[1] - began.current.at[1]) > TAP_PX)
        began.current.moved = true;
      if (began.current.moved) {
        if (hit?.point !== undefined && !isDrawing) {
          setLens(at);
          onPull(hit.point, toMm(view, at));
        } else setView(panned(view, at[0] - before[0], at[1] - before[1]));
      }
    }
    fingers.current.set(event.pointerId, at);
  };
  const up = (event: React.PointerEvent) => {
    fingers.current.delete(event.pointerId);
    const last = began.current;
    began.current = null;
    setLens(null);
    if (!last || !view) return;
    if (!last.moved) onTap(last.hit, toMm(view, last.at), 1 / view.scale);
    else if (last.hit?.point !== undefined && !isDrawing) onLetGo();
  };
  const marks: Marks = view ? marksOf(outline, studied, view) : { relations: [], dimensions: [] };
  // The device has taken the gesture: it was no tap. What was pulled stays where it is.
  const cancel = (event: React.PointerEvent) => {
    fingers.current.delete(event.pointerId);
    const last = began.current;
    began.current = null;
    setLens(null);
    if (last?.moved && last.hit?.point !== undefined && !isDrawing) onLetGo();
  };
  const wrongCurves = new Set(
    outline.relations.flatMap((one) =>
      wrong.has(one.id) && 'curves' in one
        ? one.curves
        : wrong.has(one.id) && 'curve' in one
          ? [one.curve]
          : [],
    ),
  );
  return (
    <View
      className="flex-1 overflow-hidden bg-bench"
      onLayout={({ nativeEvent: { layout: box } }) =>
        view ? setView(resized(view, box.width, box.height)) : fit(box.width, box.height)
      }
    >
      {view ? (
        <>
          <div
            ref={area}
            role="group"
            aria-label="Drawing board. Tap to pick or to draw; points can be pulled."
            onPointerDown={down}
            onPointerMove={move}
            onPointerUp={up}
            onPointerCancel={cancel}
            style={{ position: 'absolute', inset: 0, touchAction: 'none' }}
          >
            <Svg
              width={view.width}
              height={view.height}
              role="img"
              aria-label={`Outline of ${count} ${count === 1 ? 'curve' : 'curves'}`}
            >
              <OriginCross view={view} />
              <Filled areas={filled} view={view} />
              {behind ? <Behind segments={behind} cuts={cuts} view={view} /> : null}
              <G stroke={colours.brass.DEFAULT} strokeWidth={0.9} fill="none">
                {marks.dimensions.flatMap((mark) =>
                  dimensionLines(mark, outline, studied, view).map((run, index) => (
                    <Polyline
                      key={`${mark.of.id} ${index}`}
                      points={run.map((place) => place.join(',')).join(' ')}
                    />
                  )),
                )}
              </G>
              <Drawn
                view={view}
                outline={outline}
                shown={shown}
                studied={studied}
                picked={picked}
                wrong={wrongCurves}
                arrows={!isDrawing}
              />
              {ring ? <Ring at={ring} view={view} /> : null}
              <Begun places={begun} isSmooth={isSmooth} view={view} />
              {begun.map((place, index) => {
                const [x, y] = toPx(view, place);
                return <Circle key={index} cx={x} cy={y} r={7} fill={colours.green.DEFAULT} />;
              })}
            </Svg>
          </div>
          {/* While something is drawn, a tap on a mark is a tap on the board. */}
          <View pointerEvents={isDrawing ? 'none' : 'box-none'} className="absolute inset-0">
            {marks.relations.map(({ of, x, y }) => (
              <Pressable
                key={of.id}
                accessibilityRole="button"
                accessibilityLabel={`Relation: ${RELATION_WORDS[of.kind]}`}
                onPress={() => onRelation(of.id)}
                hitSlop={8}
                className="absolute h-[18px] w-[18px]"
                style={{ left: x - 9, top: y - 9 }}
              >
                <RelationSign
                  kind={of.kind}
                  size={18}
                  tone={wrong.has(of.id) ? 'wrong' : picked.relation === of.id ? 'picked' : 'plain'}
                />
              </Pressable>
            ))}
            {marks.dimensions.map(({ of, x, y }) => {
              const { text, spoken } = textOf(of);
              return (
                <Pressable
                  key={of.id}
                  accessibilityRole="button"
                  accessibilityLabel={`${dimensionWord(of)}: ${spoken}`}
                  onPress={() => onDimension(of.id)}
                  hitSlop={{ top: 10, bottom: 10 }}
                  className={`absolute min-w-[44px] items-center rounded-sm border-b-2 px-1.5 ${
                    wrong.has(of.id)
                      ? 'border-rust bg-rust-soft'
                      : of.reference
                        ? 'border-dashed border-rule bg-bench'
                        : 'border-ink bg-card'
                  }`}
                  style={{ left: x - 30, top: y - 12, width: 60 }}
                >
                  <Text
                    numberOfLines={1}
                    className={`font-number text-[15px] tabular-nums ${wrong.has(of.id) ? 'text-rust' : 'text-ink'}`}
                  >
                    {of.reference ? `(${text})` : text}
                  </Text>
                </Pressable>
              );
            })}
          </View>
          {lens ? <Lens at={lens} view={view} outline={outline} shown={shown} studied={studied} /> : null}
          <Pressable
            accessibilityRole="button"
            accessibilityLabel="Show all of the drawing"
            onPress={() => fit(view.width, view.height)}
            className="absolute bottom-1 left-1 h-11 min-w-[44px] items-center justify-center px-2"
          >
            <Text className="font-label text-[13.5px] text-slate">All</Text>
          </Pressable>
        </>
      ) : null}
    </View>
  );
}

/** Both ends of segments, four numbers each. */
const endsOf = (segments: Float32Array): Place[] =>
  Array.from({ length: segments.length / 2 }, (_, index): Place => [
    segments[2 * index]!,
    segments[2 * index + 1]!,
  ]);
