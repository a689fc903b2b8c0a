import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';

import type { Vec3 } from '@core/foundations/vectors';
import type { Annotation, Picked } from '@core/shaping/part';
import { ownValue } from '@core/foundations/own';

import { useScene } from '../scene/useScene';
import { ArrowHandles, type TakenArrow } from './ArrowHandles';
import { PartLabels, type LabelText } from './PartLabels';
import type { SceneBody } from './drawnBody';
import { between, useFollowed } from './followed';
import type { Pickable } from './pickOnMesh';
import { PartScene, type SceneMarks } from './partScene';
import { placeLabels, type PlacedLabel } from './placeLabels';
import type { Stance } from './stances';
import { litAnew } from '../preferences/litAnew';
import { useLabelScale } from '../preferences/typeSize';

export interface PartViewProps {
  bodies: SceneBody[];
  annotations: Annotation[];
  textOf(annotation: Annotation): LabelText;
  onPressLabel(annotation: Annotation): void;
  onLongPressLabel(annotation: Annotation): void;
  /** Left out where no size can be pulled. */
  pull?: { canPull(annotation: Annotation): boolean; onTake(taken: TakenArrow): void };
  stance: Stance | null;
  onStance(stance: Stance | null): void;
  marks: SceneMarks;
  /** What a tap takes hold of; nothing if it is empty. */
  pickable: readonly Pickable[];
  onPick(picked: { bodyId: string; picked: Picked }): void;
  /** Told how to ask for the way from the part to the viewer. */
  look: React.MutableRefObject<() => Vec3>;
  /** So much at its foot is covered by something else, px: labels keep out of it. */
  coveredBelow: number;
  /** ... and so much of the corner above that, at the left, px. */
  coveredCorner?: { width: number; height: number } | undefined;
  /** Says in words what is in the picture. */
  description: string;
}

/** A touch that is shorter and stays nearer than this is a tap. */
const TAP_MS = 600;
const TAP_PX = 8;

/** The part, drawn, with its sizes on it. Turns and zooms by touch, mouse and keys. */
export const PartView = litAnew(PartCanvas);

function PartCanvas(props: PartViewProps) {
  const { canvas, scene, size, failed, onLayout } = useScene(PartScene);
  const [placed, setPlaced] = useState<PlacedLabel[]>([]);

  const shownAnnotations = useRef(props.annotations);
  shownAnnotations.current = props.annotations;
  const labelScale = useLabelScale();
  const labelScaleNow = useRef(labelScale);
  labelScaleNow.current = labelScale;
  const roomNow = useRef<typeof size & { corner?: { width: number; height: number } }>(size);
  roomNow.current = {
    ...size,
    height: size.height - props.coveredBelow,
    ...(props.coveredCorner ? { corner: props.coveredCorner } : {}),
  };
  const place = useCallback(() => {
    const current = scene.current;
    if (!current) return;
    const corners = current.corners();
    setPlaced(
      corners.length === 0
        ? []
        : placeLabels(shownAnnotations.current, {
            ...roomNow.current,
            labelScale: labelScaleNow.current,
            corners,
            project: (point) => current.project(point),
          }),
    );
  }, [scene]);

  const { look } = props;
  const onStance = useRef(props.onStance);
  onStance.current = props.onStance;
  useEffect(() => {
    scene.current?.listen(place, (stance) => onStance.current(stance));
    look.current = () => scene.current?.look() ?? [0, -1, 0];
  }, [scene, place, look]);

  const showFollowed = useCallback(() => {
    const { followed } = useFollowed.getState();
    if (!followed) {
      scene.current?.leave();
      return;
    }
    const { mesh, ...at } = between(followed);
    scene.current?.follow(followed.bodyId, mesh, at);
  }, [scene]);
  // By itself and not by way of a new drawing of the screen: the part moves in the same frame as the thumb.
  useEffect(() => useFollowed.subscribe(showFollowed), [showFollowed]);
  const isFollowing = useFollowed(({ followed }) => followed !== null);
  useEffect(() => {
    scene.current?.setBodies(props.bodies);
    // A build that the thumb has left behind is not what it is at.
    if (useFollowed.getState().followed) showFollowed();
  }, [scene, props.bodies, showFollowed]);
  useEffect(() => scene.current?.setMarks(props.marks), [scene, props.marks]);
  useEffect(() => place(), [place, labelScale, props.annotations, props.coveredBelow, props.coveredCorner]);
  useEffect(() => {
    if (props.stance) scene.current?.setStance(props.stance);
  }, [scene, props.stance]);

  const down = useRef<{ x: number; y: number; at: number } | null>(null);
  const placeOf = (event: React.PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top, at: event.timeStamp };
  };
  const onPointerDown = (event: React.PointerEvent) => {
    down.current = placeOf(event);
  };
  const onPointerUp = (event: React.PointerEvent) => {
    const [from, to] = [down.current, placeOf(event)];
    if (!from || props.pickable.length === 0 || to.at - from.at > TAP_MS) return;
    // Further than a finger rolls, it was a turn of the part.
    if (Math.hypot(to.x - from.x, to.y - from.y) > TAP_PX) return;
    const found = scene.current?.pick(to, props.pickable);
    if (found) props.onPick(found);
  };
  const onKeyDown = (event: React.KeyboardEvent) => {
    const act = ownValue(keyActions, event.key);
    if (!act || !scene.current) return;
    event.preventDefault();
    act(scene.current);
  };
  const labels = useMemo(
    () => (
      <PartLabels
        // They tell what was built, which is not where the thumb is.
        placed={isFollowing ? NONE_PLACED : placed}
        textOf={props.textOf}
        onPress={props.onPressLabel}
        onLongPress={props.onLongPressLabel}
        {...size}
      />
    ),
    [placed, isFollowing, props.textOf, props.onPressLabel, props.onLongPressLabel, size],
  );

  return (
    <View className="flex-1 overflow-hidden bg-bench" onLayout={onLayout}>
      <canvas
        ref={canvas}
        role="img"
        aria-label={
          failed
            ? 'The part can’t be drawn: this browser offers no 3D graphics.'
            : `${props.description} Arrow keys turn it, plus and minus zoom, 0 fits it into view.`
        }
        tabIndex={0}
        onKeyDown={onKeyDown}
        onPointerDown={onPointerDown}
        onPointerUp={onPointerUp}
        style={{ width: '100%', height: '100%', display: 'block', touchAction: 'none' }}
      />
      {/* Under the labels, which are tapped. */}
      {isFollowing || !props.pull ? null : <ArrowHandles placed={placed} {...props.pull} />}
      {labels}
    </View>
  );
}

const NONE_PLACED: PlacedLabel[] = [];

const keyActions: Record<string, (scene: PartScene) => void> = {
  ArrowLeft: (scene) => scene.turn(-1, 0),
  ArrowRight: (scene) => scene.turn(1, 0),
  ArrowUp: (scene) => scene.turn(0, 1),
  ArrowDown: (scene) => scene.turn(0, -1),
  '+': (scene) => scene.zoom(1.2),
  '=': (scene) => scene.zoom(1.2),
  '-': (scene) => scene.zoom(1 / 1.2),
  '0': (scene) => scene.fit(),
};
