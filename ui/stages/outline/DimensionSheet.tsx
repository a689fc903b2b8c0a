import { useState } from 'react';
import { Text } from 'react-native';

import { isTaken, numberValue, type Value } from '@core/record/model';
import { isNothing } from '@core/foundations/tolerance';
import { readLengthValue, readPlain } from '@core/shaping/recipe';
import { showExactly, typedUnitOf } from '@core/foundations/quantity';
import { dimensionWord } from '@core/reporting/wording';
import {
  mayBeScaled,
  scaledBy,
  withDimension,
  withDimensionAs,
  withoutRelations,
  type DimensionOffer,
} from '@core/shaping/drawnEdits';
import type { DrawnOutline } from '@core/foundations/fields';

import { LengthChoiceRow } from '../../inRepair/LengthChoiceRow';
import { useLengthChoices } from '../../inRepair/useLengthChoices';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Field, Wrong } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { PadAction } from '../../shared/pad/PadAction';
import { problemOf, type Problem } from '../../shared/problem';
import { Sheet } from '../../shared/Sheet';
import type { Drawing } from './useDrawing';

type Dimension = NonNullable<DrawnOutline['dimensions']>[number];

/** What a dimension is given: a number, a size, a formula; an angle in degrees. */
const ANGLE_BOUNDS = { path: 'angle', value: 0, quantity: 'angle', least: 0, most: Math.PI } as const;

/**
 * Gives a size to a drawing, or changes one. What would contradict the others is told before it is kept, and may be kept as one that only reports.
 */
export function DimensionSheet({
  drawing,
  dimension,
  measured,
  sentenceOf,
  onClose,
}: {
  drawing: Drawing;
  /** One that stands, with its id; or one that could. */
  dimension: Dimension | DimensionOffer;
  /** What it comes to now, mm or radians. */
  measured: number;
  /** What is wrong with a drawing, in a sentence; null if nothing. */
  sentenceOf(studied: ReturnType<Drawing['tried']>, outline: DrawnOutline): string | null;
  onClose(): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const { sizes, tags } = useLengthChoices('measure');
  const isAngle = dimension.kind === 'angle';
  const standing = 'id' in dimension ? dimension : null;
  const word = dimensionWord(dimension as Dimension);
  const [shown] = useState(() => shownText(standing, isAngle, measured, show));
  const [text, setText] = useState(shown);
  const [wrong, setWrong] = useState<Problem | string>();
  const [refused, setRefused] = useState<{ outline: DrawnOutline; sentence: string; value: Given } | null>(
    null,
  );
  const readAngle = isAngle ? readPlain(text, ANGLE_BOUNDS, numbers, typedUnitOf(show.unit)) : null;
  const readLength = isAngle ? null : readLengthValue(text, typedUnitOf(show.unit), numbers);
  const worth =
    readLength?.ok && readLength.value.mm !== null && !/^[-+]?\d*[.,]?\d*$/.test(text.trim())
      ? showExactly(readLength.value.mm, 'length', show.unit)
      : null;

  const keep = (value: Given, isReference = false) => {
    const given = 'mm' in value ? { value: value.value } : { angle: value.angle };
    const plain: Record<string, unknown> = { ...(dimension as object), ...given };
    delete plain.id;
    delete plain.reference;
    const holding = { ...plain, ...(isReference ? { reference: true } : {}) } as Parameters<
      typeof withDimension
    >[1];
    // Nobody minded how large it was drawn: the first size says.
    const scales =
      !standing && !isReference && 'mm' in value && value.mm !== null && mayBeScaled(drawing.outline);
    const factor = scales && value.mm! > 0 && !isNothing(measured) ? value.mm! / measured : 1;
    const next = standing
      ? withDimensionAs(drawing.outline, standing.id, holding)
      : withDimension(scaledBy(drawing.outline, factor), holding)[0];
    const studied = drawing.tried(next);
    const sentence = isReference ? null : sentenceOf(studied, next);
    if (sentence) {
      setRefused({ outline: next, sentence, value });
      return;
    }
    drawing.keep(
      next,
      standing ? `The ${word.toLowerCase()} is changed.` : `The ${word.toLowerCase()} is given.`,
    );
    onClose();
  };
  const use = () => {
    // What is shown is rounded: a number that nobody touched is what it is, exactly.
    const isAsMeasured = text === shown;
    if (isAsMeasured && standing && !standing.reference) return onClose();
    if (readAngle) {
      if (readAngle.ok) keep({ angle: isAsMeasured ? measured : readAngle.value });
      else setWrong(problemOf(readAngle.fault));
    } else if (readLength!.ok) {
      const { value, mm } = readLength!.value;
      keep(isAsMeasured ? { value: numberValue(measured), mm: measured } : { value, mm });
    } else setWrong(problemOf(readLength!.fault));
  };
  return (
    <Sheet title={standing ? `Change the ${word.toLowerCase()}` : word} showsPart onClose={onClose}>
      <Field
        label={isAngle ? 'Type an angle in degrees' : 'Type a number, a sum or a formula such as A / 2 + 3'}
        unit={isAngle ? '°' : show.word}
        worth={worth}
        pad={{
          quantity: isAngle ? 'angle' : 'length',
          tags: isAngle ? [] : tags,
          action: 'Use this number',
          isFormula: true,
          act: use,
        }}
        autoFocus
        value={text}
        onChangeText={(next) => {
          setText(next);
          setWrong(undefined);
          setRefused(null);
        }}
        onSubmitEditing={use}
        wrong={wrong}
      />
      {refused ? (
        <>
          <Wrong text={refused.sentence} />
          <Button label="Let it only report" onPress={() => keep(refused.value, true)} />
          <Button
            label="Keep it all the same"
            onPress={() => {
              drawing.keep(refused.outline, `The ${word.toLowerCase()} is given.`);
              onClose();
            }}
          />
        </>
      ) : (
        <PadAction tone="primary" label="Use this number" onPress={use} />
      )}
      {standing ? (
        <>
          {standing.reference ? null : (
            <Button
              label="Let it only report"
              onPress={() =>
                keep(
                  standing.kind === 'angle'
                    ? { angle: isTaken(standing.angle) ? measured : standing.angle }
                    : { value: standing.value, mm: null },
                  true,
                )
              }
            />
          )}
          <Button
            tone="danger"
            label={`Take the ${word.toLowerCase()} away`}
            onPress={() => {
              drawing.keep(
                withoutRelations(drawing.outline, new Set([standing.id])),
                `The ${word.toLowerCase()} is gone.`,
              );
              onClose();
            }}
          />
        </>
      ) : null}
      {isAngle || sizes.length === 0 ? null : <GroupHeading>Or take it from a size</GroupHeading>}
      {isAngle
        ? null
        : sizes.map((choice) => (
            <LengthChoiceRow
              key={JSON.stringify(choice.value)}
              choice={choice}
              onTake={(value, mm) => keep({ value, mm })}
            />
          ))}
      <Text className="font-label text-[13.5px] text-muted">
        {`Now it is ${isAngle ? `${((measured * 180) / Math.PI).toFixed(1)}°` : show.length(measured)}.`}
      </Text>
    </Sheet>
  );
}

type Given = { value: Value; mm: number | null } | { angle: Extract<Dimension, { kind: 'angle' }>['angle'] };

/** What stands in the field first. */
function shownText(
  standing: Dimension | null,
  isAngle: boolean,
  measured: number,
  show: ReturnType<typeof useShow>,
): string {
  if (isAngle) return String(Number(((measured * 180) / Math.PI).toFixed(1)));
  if (standing && standing.kind !== 'angle' && standing.value.from === 'formula') return standing.value.text;
  return show.number(measured).replace('−', '-');
}
