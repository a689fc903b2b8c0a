import { useState } from 'react';
import { Text, View } from 'react-native';

import type { Fit } from '@core/record/model';
import { limitsOf, readToleranceClass, SUGGESTED_PAIRS } from '@core/foundations/standards';

import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';

/** Limits and fits after ISO 286 instead of a class in words, for what is machined. */
export function IsoLimits({
  fit,
  nominalMm,
  onChange,
}: {
  fit: Fit;
  nominalMm: number | null;
  onChange(iso: Fit['iso']): void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <View className="items-start gap-1">
      {fit.iso && nominalMm !== null ? (
        <View role="group" aria-label="ISO limits">
          <LimitLine what="Hole" toleranceClass={fit.iso.hole} nominalMm={nominalMm} />
          <LimitLine what="Shaft" toleranceClass={fit.iso.shaft} nominalMm={nominalMm} />
        </View>
      ) : null}
      <Button
        tone="quiet"
        label={fit.iso ? 'Other ISO limits, or none' : 'Use ISO limits, such as H7/g6'}
        onPress={() => setOpen(true)}
      />
      {open ? (
        <IsoSheet fit={fit} nominalMm={nominalMm} onChange={onChange} onClose={() => setOpen(false)} />
      ) : null}
    </View>
  );
}

/** Limits in micrometres, as tables give them. */
const micrometres = (mm: number) => {
  const value = Math.round(mm * 1e4) / 10;
  return value > 0 ? `+${value}` : value < 0 ? `−${Math.abs(value)}` : '0';
};

function LimitLine({
  what,
  toleranceClass,
  nominalMm,
}: {
  what: string;
  toleranceClass: string;
  nominalMm: number;
}) {
  const limits = limitsOf(toleranceClass, nominalMm);
  return (
    <Text className="font-label text-[14px] tabular-nums text-ink">
      {limits
        ? `${what} ${toleranceClass}: ${micrometres(limits.lowerMm)} to ${micrometres(limits.upperMm)} µm, ${(nominalMm + limits.lowerMm).toFixed(3)} to ${(nominalMm + limits.upperMm).toFixed(3)} mm`
        : `${what} ${toleranceClass}: not defined for this size`}
    </Text>
  );
}

function IsoSheet({
  fit,
  nominalMm,
  onChange,
  onClose,
}: {
  fit: Fit;
  nominalMm: number | null;
  onChange(iso: Fit['iso']): void;
  onClose(): void;
}) {
  const [hole, setHole] = useState(fit.iso?.hole ?? 'H7');
  const [shaft, setShaft] = useState(fit.iso?.shaft ?? 'g6');
  const [wrong, setWrong] = useState<string>();
  const choose = (iso: NonNullable<Fit['iso']>) => {
    const [readHole, readShaft] = [readToleranceClass(iso.hole), readToleranceClass(iso.shaft)];
    if (!readHole?.hole) {
      setWrong(
        `“${iso.hole}” is not a hole’s tolerance class. Type a capital letter and a grade, such as H7.`,
      );
    } else if (!readShaft || readShaft.hole) {
      setWrong(
        `“${iso.shaft}” is not a shaft’s tolerance class. Type a small letter and a grade, such as g6.`,
      );
    } else {
      onChange(iso);
      onClose();
    }
  };
  const clearanceWords = (pair: { hole: string; shaft: string }) => {
    if (nominalMm === null) return undefined;
    const [h, s] = [limitsOf(pair.hole, nominalMm), limitsOf(pair.shaft, nominalMm)];
    return h && s
      ? `${micrometres(h.lowerMm - s.upperMm)} to ${micrometres(h.upperMm - s.lowerMm)} µm`
      : undefined;
  };
  return (
    <Sheet title="ISO 286 limits" onClose={onClose}>
      <Text className="font-sans text-[15px] leading-6 text-ink">
        For parts that are turned, milled or reamed. The spare’s working size is the middle of its limits.
      </Text>
      <GroupHeading>Pairs that are often used</GroupHeading>
      {SUGGESTED_PAIRS.map((pair) => (
        <ChoiceRow
          key={`${pair.hole}${pair.shaft}`}
          tag={`${pair.hole}/${pair.shaft}`}
          title={pair.words}
          note={clearanceWords(pair)}
          chosen={fit.iso?.hole === pair.hole && fit.iso.shaft === pair.shaft}
          onPress={() => choose({ hole: pair.hole, shaft: pair.shaft })}
        />
      ))}
      <GroupHeading>Or others</GroupHeading>
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Field label="Hole" value={hole} onChangeText={setHole} maxLength={4} />
        </View>
        <View className="flex-1">
          <Field label="Shaft" value={shaft} onChangeText={setShaft} maxLength={4} />
        </View>
      </View>
      {wrong ? (
        <Text role="alert" className="font-medium text-[14px] text-rust">
          {wrong}
        </Text>
      ) : null}
      <Button
        tone="primary"
        label="Use these"
        onPress={() => choose({ hole: hole.trim(), shaft: shaft.trim() })}
      />
      {fit.iso ? (
        <Button
          label="Go back to a named class"
          onPress={() => {
            onChange(null);
            onClose();
          }}
        />
      ) : null}
    </Sheet>
  );
}
