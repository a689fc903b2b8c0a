import { useState } from 'react';
import { Text, View } from 'react-native';

import { numberValue, type Body, type Step } from '@core/record/model';
import { along, type Vec3 } from '@core/foundations/vectors';
import { movedPoint } from '@core/shaping/part';
import { degrees } from '@core/shaping/sentence';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { usePartTool } from '../../part/partTool';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';
import type { SlideReply } from '../../solid/protocol';
import { workbench } from '../../solid/useSolid';

const WAYS = {
  right: { word: 'Right', direction: [1, 0, 0] },
  left: { word: 'Left', direction: [-1, 0, 0] },
  back: { word: 'Back', direction: [0, 1, 0] },
  front: { word: 'Front', direction: [0, -1, 0] },
  up: { word: 'Up', direction: [0, 0, 1] },
  down: { word: 'Down', direction: [0, 0, -1] },
} as const satisfies Record<string, { word: string; direction: Vec3 }>;
type Way = keyof typeof WAYS;

const TURNS = {
  upright: { word: 'Upright axis', direction: [0, 0, 1] },
  sideways: { word: 'Axis to the right', direction: [1, 0, 0] },
  backwards: { word: 'Axis to the back', direction: [0, 1, 0] },
} as const satisfies Record<string, { word: string; direction: Vec3 }>;
type Turn = keyof typeof TURNS;

/** Looked at as far as this: mm, and a whole turn. */
const FAR_MM = 200;
const FAR_TURN = 2 * Math.PI;

/** Slides or turns a body until it comes against another one, and shows where. */
export function SlideSheet({ body, onClose }: { body: Body; onClose(): void }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const { pointAt } = usePartTool();
  const show = useShow();
  const [by, setBy] = useState<'move' | 'turn'>('move');
  const [way, setWay] = useState<Way>('right');
  const [turn, setTurn] = useState<Turn>('upright');
  const [sense, setSense] = useState<'left' | 'right'>('left');
  const [about, setAbout] = useState<'axle' | 'middle'>('axle');
  const [busy, setBusy] = useState(false);
  const [reply, setReply] = useState<SlideReply | null>(null);
  const [failed, setFailed] = useState(false);

  const change = (set: () => void) => {
    set();
    setReply(null);
    setFailed(false);
  };
  const go = async () => {
    setBusy(true);
    setFailed(false);
    const axis = along([0, 0, 0], TURNS[turn].direction, sense === 'left' ? 1 : -1);
    const found = await workbench.ask
      .slide(
        body.id,
        by === 'move'
          ? { by, direction: WAYS[way].direction, limit: FAR_MM }
          : { by, direction: axis, about, limit: FAR_TURN },
      )
      .catch(() => null);
    setReply(found);
    setFailed(found === null);
    setBusy(false);
  };
  const other = repair.bodies.find(({ id }) => id === reply?.other)?.name ?? 'another body';
  const words = reply && slideWords(reply, body.name, other, (mm) => show.length(mm));
  const slid = reply?.slid;
  const stepThere = slid?.ends === 'touches' && reply ? moveThere(reply, newId()) : null;
  return (
    <Sheet title={`Slide ${body.name} until it touches`} onClose={onClose}>
      <Switch
        label="How it goes"
        options={[
          { id: 'move', word: 'Straight' },
          { id: 'turn', word: 'Turning' },
        ]}
        value={by}
        onChange={(next) => change(() => setBy(next))}
      />
      {by === 'move' ? (
        <Switch
          label="Which way"
          options={Object.entries(WAYS).map(([id, { word }]) => ({ id: id as Way, word }))}
          value={way}
          onChange={(next) => change(() => setWay(next))}
        />
      ) : (
        <>
          <Switch
            label="About which axis"
            options={Object.entries(TURNS).map(([id, { word }]) => ({ id: id as Turn, word }))}
            value={turn}
            onChange={(next) => change(() => setTurn(next))}
          />
          <Switch
            label="Where the axis is"
            options={[
              { id: 'axle', word: 'Through the axle line' },
              { id: 'middle', word: 'Through its own middle' },
            ]}
            value={about}
            onChange={(next) => change(() => setAbout(next))}
          />
          <Switch
            label="Which way round"
            options={[
              { id: 'left', word: 'To the left' },
              { id: 'right', word: 'To the right' },
            ]}
            value={sense}
            onChange={(next) => change(() => setSense(next))}
          />
        </>
      )}
      <Button tone="primary" label="Slide it" busy={busy} onPress={() => void go()} />
      {busy ? <Button label="Stop" onPress={() => workbench.cancel()} /> : null}
      {failed ? (
        <Text role="alert" className="font-medium text-[15px] text-rust">
          It could not be slid: it is not built, or it was stopped. Fix its recipe, or try again.
        </Text>
      ) : null}
      {words && slid ? (
        <View className="gap-2">
          <Text role="status" className="font-sans text-[16px] leading-6 text-ink">
            {words}
          </Text>
          {slid.ends === 'free' ? null : (
            <Button
              label="Show it there"
              onPress={() => {
                const moved = slid.ends === 'touches' ? { motion: reply.motion, far: slid.far } : undefined;
                pointAt({ bodyId: body.id, where: { points: [slid.at] }, words, moved });
                onClose();
              }}
            />
          )}
          {stepThere ? (
            <Button
              label="Leave it there"
              onPress={() => {
                put(
                  'body',
                  { ...body, steps: [...body.steps, stepThere] },
                  `${body.name} is moved to where it touches.`,
                );
                onClose();
              }}
            />
          ) : null}
        </View>
      ) : null}
    </Sheet>
  );
}

function slideWords(
  { slid, motion }: SlideReply,
  name: string,
  other: string,
  length: (mm: number) => string,
): string {
  if (slid.ends === 'touchesNow') return `${name} touches ${other} where it is. Move one of them away first.`;
  const far = motion.by === 'move' ? length(slid.far) : degrees(slid.far);
  return slid.ends === 'free'
    ? `Its path is free for ${far}.`
    : `${name} goes ${far}, and then touches ${other}.`;
}

/** The step that leaves a body where it has slid to; about a point off the axle line it is a turn and a move. */
export function moveThere({ slid, motion }: SlideReply, id: string): Step | null {
  if (slid.ends !== 'touches') return null;
  const origin = movedPoint([0, 0, 0], motion, slid.far);
  const [dx, dy, dz] = origin.map((mm) => numberValue(Math.round(mm * 1000) / 1000)) as [
    ReturnType<typeof numberValue>,
    ReturnType<typeof numberValue>,
    ReturnType<typeof numberValue>,
  ];
  const axis = (['x', 'y', 'z'] as const)[motion.direction.findIndex((part) => Math.abs(part) === 1)] ?? 'z';
  const sign = motion.direction.some((part) => part === -1) ? -1 : 1;
  return {
    id,
    kind: 'move',
    dx,
    dy,
    dz,
    axis: motion.by === 'turn' ? axis : 'z',
    turn: motion.by === 'turn' ? sign * slid.far : 0,
    scale: 1,
  };
}
