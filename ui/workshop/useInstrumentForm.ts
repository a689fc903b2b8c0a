import { useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';

import { RAD_PER_DEGREE } from '@core/foundations/quantity';
import { Instrument } from '@core/record/model';
import { sentenceOf } from '@core/reporting/wording';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { numberIn, shownNumber, type TypedIn } from '../shared/numberFields';

interface Typed {
  name: string;
  resolution: string;
  reach: string;
  repeatability: string;
  bands: { upTo: string; plusMinus: string }[];
}

/** An instrument as it is typed; kept once it holds. */
export function useInstrumentForm(
  instrument: Instrument,
  onSave: ReturnType<typeof useChangeWorkshop>,
  onClose: () => void,
) {
  const [kind, setKind] = useState(instrument.kind);
  const [shows, setShows] = useState(instrument.shows);
  const [wrong, setWrong] = useState<string | null>(null);
  // Forms talk degrees; the core talks radians.
  const quantity = kind === 'protractor' ? 'angle' : 'length';
  const typedIn: TypedIn =
    quantity === 'angle' ? { unit: '°', times: RAD_PER_DEGREE } : { unit: 'mm', times: 1 };
  const { control, handleSubmit, getValues } = useForm<Typed>({ defaultValues: typedOf(instrument) });
  const { fields, append, remove } = useFieldArray({ control, name: 'bands' });
  const of = Instrument.shape;
  const band = of.permissibleErrors.element.shape;
  const keep = handleSubmit((typed) => {
    const read = (text: string, schema: typeof of.reach) => numberIn(text, schema, typedIn);
    const permissibleErrors = typed.bands.map(({ upTo, plusMinus }) => ({
      upTo: read(upTo, band.upTo),
      plusMinus: read(plusMinus, band.plusMinus),
    }));
    permissibleErrors.sort((a, b) => a.upTo - b.upTo);
    const next = Instrument.safeParse({
      ...instrument,
      name: typed.name.trim(),
      kind,
      quantity,
      shows: quantity === 'angle' ? 'deg' : shows === 'deg' ? 'mm' : shows,
      resolution: read(typed.resolution, of.resolution),
      reach: read(typed.reach, of.reach),
      repeatability: read(typed.repeatability, of.repeatability),
      permissibleErrors,
    });
    if (!next.success) {
      const { message } = next.error.issues[0]!;
      setWrong(sentenceOf({ code: 'field.invalid', path: 'the instrument', message }));
      return;
    }
    onSave('instrument', next.data, `${next.data.name} is kept.`);
    onClose();
  });
  /** One more range, up to where it reaches. */
  const addRange = () => {
    const { reach, bands } = getValues();
    append({ upTo: reach, plusMinus: bands.at(-1)!.plusMinus });
  };
  return {
    control,
    kind,
    setKind,
    shows,
    setShows,
    quantity,
    typedIn,
    ranges: fields,
    addRange,
    removeRange: () => remove(fields.length - 1),
    wrong,
    keep: () => void keep(),
  } as const;
}

/** As it is typed: angles in degrees. */
function typedOf({ name, quantity, resolution, reach, repeatability, permissibleErrors }: Instrument): Typed {
  const shown = (value: number) => shownNumber(value / (quantity === 'angle' ? RAD_PER_DEGREE : 1));
  return {
    name,
    resolution: shown(resolution),
    reach: shown(reach),
    repeatability: shown(repeatability),
    bands: permissibleErrors.map(({ upTo, plusMinus }) => ({
      upTo: shown(upTo),
      plusMinus: shown(plusMinus),
    })),
  };
}
