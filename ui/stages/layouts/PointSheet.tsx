import { useState } from 'react';
import { Text, View } from 'react-native';

import { zeroOf, type SolvedLayout } from '@core/measuring/layout';
import { isKnown } from '@core/measuring/measure';
import { newSize, nextLetter, type Layout, type LayoutPoint } from '@core/record/model';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';
import { SourceSheet } from '../../measuring/derive/SourceSheet';
import { withChangedPoint, withoutPoint } from './editLayout';

/** A point of a layout: what it is, how wide, and where it came out. */
export function PointSheet({
  layout,
  solved,
  pointId,
  onSave,
  onClose,
}: {
  layout: Layout;
  solved: SolvedLayout;
  pointId: string;
  onSave(layout: Layout, undo?: string): void;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const show = useShow();
  const [choosing, setChoosing] = useState(false);
  const point = layout.points.find(({ id }) => id === pointId);
  const placed = solved.points.find(({ id }) => id === pointId);
  if (!point || !placed) return null;
  const { diameter } = point;
  const zero = zeroOf(layout, solved);
  const aside = (mm: number, [up, down]: readonly [string, string]) =>
    `${show.number(Math.abs(mm))} ${mm < 0 ? down : up}`;
  const size = diameter?.from === 'size' ? numbers.sizes.get(diameter.id) : undefined;
  const diameterWords =
    diameter === null
      ? 'not known'
      : diameter.from === 'number'
        ? show.length(diameter.value)
        : size
          ? `${size.size.tag}, ${isKnown(size.result) ? show.length(size.result.value) : 'to take'}`
          : 'lost';
  /** All round points of a plate are usually alike. */
  const forAll = (source: LayoutPoint['diameter']) =>
    onSave(
      {
        ...layout,
        points: layout.points.map((other) =>
          other.id === pointId || (other.kind === point.kind && other.diameter === null)
            ? { ...other, diameter: source }
            : other,
        ),
      },
      'Diameter changed.',
    );
  return (
    <Sheet title={`Point ${point.label}`} onClose={onClose}>
      <View>
        <Text className="font-number text-[19px] tabular-nums text-ink">
          {`${aside(placed.x - zero.x, ['right', 'left'])}, ${aside(placed.y - zero.y, ['back', 'front'])}`}
        </Text>
        <Text className="font-label text-[14px] text-muted">
          {placed.loose
            ? 'It can still move: take more distances.'
            : placed.standard
              ? `± ${show.uncertainty(2 * placed.standard.x)} and ± ${show.uncertainty(2 * placed.standard.y)} ${show.word}, from ${layout.zero === 'middle' ? 'the middle' : FRAME_WORDS[solved.tiedTo]}`
              : ''}
        </Text>
      </View>
      <Switch
        label="What is there"
        options={[
          { id: 'hole', word: 'Hole' },
          { id: 'peg', word: 'Peg' },
          { id: 'corner', word: 'Corner' },
        ]}
        value={point.kind}
        onChange={(kind) => onSave(withChangedPoint(layout, { ...point, kind }))}
      />
      {point.kind === 'corner' ? null : (
        <Button label={`Diameter: ${diameterWords}`} onPress={() => setChoosing(true)} />
      )}
      <Button
        tone="danger"
        label={`Delete point ${point.label} and its distances`}
        onPress={() => {
          onSave(withoutPoint(layout, pointId), `Point ${point.label} deleted.`);
          onClose();
        }}
      />
      {choosing ? (
        <SourceSheet
          what="diameter"
          quantity="length"
          now={diameter}
          without={[]}
          onChoose={(source) => {
            forAll(source);
            setChoosing(false);
          }}
          onNewSize={() => {
            const id = newId();
            put(
              'size',
              newSize({
                id,
                tag: nextLetter(repair.sizes.map((other) => other.tag)),
                name: `${layout.name}, diameter`,
                jaw: point.kind === 'peg' ? 'outside' : 'inside',
              }),
            );
            forAll({ from: 'size', id });
            setChoosing(false);
          }}
          onClose={() => setChoosing(false)}
        />
      ) : null}
    </Sheet>
  );
}

/** What the frame's own zero is, by what it is tied to. */
const FRAME_WORDS = {
  firstTwoPoints: 'point 1, with point 2 to the right',
  edges: 'the edges',
  leftOrRight: 'the upright edge and point 1',
  bottomOrTop: 'the level edge and point 1',
} as const;
