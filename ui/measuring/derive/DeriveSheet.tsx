import { useMemo, useState } from 'react';
import { Pressable, Text, View } from 'react-native';
import Svg from 'react-native-svg';

import { evaluateSizes } from '@core/fitting/fit';
import {
  CONSTRUCTIONS,
  constructionOf,
  isKnown,
  uncertaintyOf,
  type Construction,
  type ConstructionInput,
  type SizeResult,
} from '@core/measuring/measure';
import { newSize, nextLetter, type Derivation, type Size, type Source } from '@core/record/model';
import { ambiguityIn, typedUnitOf, type Quantity } from '@core/foundations/quantity';
import { constructionWords, sentenceOf } from '@core/reporting/wording';
import { capital } from '@core/shaping/sentence';
import { ownValue } from '@core/foundations/own';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { Field, Wrong } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { problemOf } from '../../shared/problem';
import { usePadHost } from '../../shared/pad/PadHost';
import { Sheet } from '../../shared/Sheet';
import { Switch } from '../../shared/Switch';
import { ConstructionFigure, FigureLines } from './ConstructionFigure';
import { FIGURES } from './figures';
import { SourceSheet } from './SourceSheet';

type Constructed = Extract<Derivation, { by: 'construction' }>;

/** Says how a size is worked out: by one of the drawn constructions, or by a formula. */
export function DeriveSheet({
  size,
  onClose,
  onSaved = onClose,
}: {
  size: Size;
  onClose(): void;
  onSaved?(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [draft, setDraft] = useState<Derivation | null>(size.derivation);
  const quantity = quantityOf(draft) ?? size.quantity;
  const drafted: Size = { ...size, kind: 'derived', derivation: draft, quantity, given: null };

  const result = useMemo(() => {
    const others = repair.sizes.filter(({ id }) => id !== size.id);
    const evaluated = evaluateSizes(
      { sizes: [...others, drafted], readings: repair.readings },
      numbers.workshop,
    );
    return evaluated.get(size.id)!.result;
    // The draft is rebuilt at every drawing; what it is made of is listed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [repair.sizes, repair.readings, numbers.workshop, draft, quantity]);

  const keep = () => {
    put('size', drafted);
    onSaved();
  };
  if (!draft) return <ChooseConstruction size={size} onClose={onClose} onChoose={setDraft} />;
  // What can be read in two ways is asked about before it is kept.
  const isClear = draft.by !== 'formula' || ambiguityIn(draft.text, draft.unit) === null;
  const complete = draft.by === 'formula' || Object.keys(draft.inputs).length === inputCount(draft);
  return (
    <Sheet title={`How is ${size.tag} worked out?`} onClose={onClose}>
      {draft.by === 'formula' ? (
        <FormulaEditor draft={draft} quantity={quantity} onChange={setDraft} />
      ) : (
        <ConstructionEditor
          size={size}
          quantity={quantity}
          draft={draft}
          result={result}
          onChange={setDraft}
        />
      )}
      {result.status === 'impossible' && complete ? <Wrong text={sentenceOf(result.fault)} /> : null}
      <Outcome size={drafted} result={result} />
      <Button tone="primary" label="Keep" disabled={!complete || !isClear} onPress={keep} />
      <Button tone="quiet" label="Choose another way" onPress={() => setDraft(null)} />
    </Sheet>
  );
}

function quantityOf(draft: Derivation | null): Quantity | null {
  if (draft?.by !== 'construction') return null;
  const results = constructionOf(draft.construction)?.results ?? [];
  return results.find(({ key }) => key === draft.result)?.quantity ?? null;
}
const inputCount = (draft: Constructed) => constructionOf(draft.construction)?.inputs.length ?? 0;

function Outcome({ size, result }: { size: Size; result: SizeResult }) {
  const show = useShow();
  if (isKnown(result)) {
    const uncertainty = uncertaintyOf(result);
    const doubt = uncertainty ? ` ± ${show.doubt(uncertainty.expanded, size.quantity)}` : '';
    return (
      <Text role="status" className="font-number text-[22px] tabular-nums text-ink">
        {`${size.tag} = ${show.full(result.value, size.quantity)}`}
        <Text className="font-label text-[15px] text-muted">{doubt}</Text>
      </Text>
    );
  }
  if (result.status === 'wanted' && result.waitsFor) {
    return (
      <Text className="font-label text-[14.5px] text-muted">
        {`Known as soon as ${result.waitsFor.tag} (${result.waitsFor.name}) is taken.`}
      </Text>
    );
  }
  return null;
}
function ChooseConstruction({
  size,
  onClose,
  onChoose,
}: {
  size: Size;
  onClose(): void;
  onChoose(draft: Derivation): void;
}) {
  const begin = (construction: Construction) =>
    onChoose({
      by: 'construction',
      construction: construction.id,
      inputs: Object.fromEntries(
        construction.inputs.flatMap(({ key, usual }) =>
          usual === undefined ? [] : [[key, { from: 'number', value: usual }]],
        ),
      ),
      result: construction.results[0]!.key,
    });
  const show = useShow();
  return (
    <Sheet title={`How is ${size.tag} worked out?`} onClose={onClose}>
      <Button
        tone="primary"
        label="By a formula, such as (A − B) / 2"
        onPress={() => onChoose({ by: 'formula', text: '', unit: typedUnitOf(show.unit) })}
      />
      <GroupHeading>Or by a drawing</GroupHeading>
      {CONSTRUCTIONS.map((construction) => {
        const { name, when } = constructionWords(construction.id);
        return (
          <Pressable
            key={construction.id}
            accessibilityRole="button"
            accessibilityLabel={name}
            onPress={() => begin(construction)}
            className="flex-row items-center gap-3 rounded border border-line bg-card p-2 active:bg-green-soft"
          >
            <View className="rounded-sm bg-bench">
              <Svg width={86} height={46} viewBox="0 0 320 170" aria-hidden>
                <FigureLines figure={FIGURES[construction.id]} />
              </Svg>
            </View>
            <View className="min-w-0 flex-1">
              <Text className="font-medium text-[16px] text-ink">{name}</Text>
              <Text className="font-label text-[13px] leading-[17px] text-muted">{when}</Text>
            </View>
          </Pressable>
        );
      })}
    </Sheet>
  );
}

function FormulaEditor({
  draft,
  quantity,
  onChange,
}: {
  quantity: Quantity;
  draft: Extract<Derivation, { by: 'formula' }>;
  onChange(draft: Derivation): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const ambiguous = ambiguityIn(draft.text, draft.unit);
  const tags = [...numbers.sizes.values()].map(({ size, result }) => ({
    tag: size.tag,
    number: isKnown(result) ? show.value(result.value, size.quantity) : null,
    spoken: `Add ${size.tag}, ${size.name}`,
  }));
  // The pad has them as keys.
  const hasPad = usePadHost().shown !== null;
  return (
    <View className="gap-2">
      <Field
        label="Formula over tags"
        placeholder="(A - B) / 2"
        autoFocus
        autoCapitalize="characters"
        maxLength={200}
        pad={{ quantity, tags, action: 'Done', isFormula: true }}
        value={draft.text}
        onChangeText={(text) => onChange({ ...draft, text })}
        wrong={ambiguous ? problemOf(ambiguous) : undefined}
      />
      <View className="flex-row flex-wrap gap-1.5">
        {(hasPad ? [] : tags).map(({ tag, number, spoken }) => (
          <Pressable
            key={tag}
            accessibilityRole="button"
            accessibilityLabel={spoken}
            onPress={() => onChange({ ...draft, text: `${draft.text}${tag}` })}
            className="min-h-[44px] justify-center rounded border border-line bg-card px-2.5"
          >
            <Text className="font-number text-[15px] text-ink">{`${tag} ${number ?? '?'}`}</Text>
          </Pressable>
        ))}
      </View>
    </View>
  );
}

function ConstructionEditor({
  size,
  quantity,
  draft,
  result,
  onChange,
}: {
  size: Size;
  quantity: Quantity;
  draft: Constructed;
  result: SizeResult;
  onChange(draft: Derivation): void;
}) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const [input, setInput] = useState<string | null>(null);
  const construction = constructionOf(draft.construction)!;
  const words = constructionWords(construction.id);
  const open = construction.inputs.find(({ key }) => key === input);
  const choose = (key: string, source: Source) => {
    onChange({ ...draft, inputs: { ...draft.inputs, [key]: source } });
    setInput(null);
  };
  const measureNew = ({ key, jaw }: ConstructionInput) => {
    const id = newId();
    put(
      'size',
      newSize({
        id,
        tag: nextLetter([...repair.sizes.map((other) => other.tag), size.tag]),
        name: capital(ownValue(words.numbers, key)!),
        of: size.of,
        jaw: jaw ?? 'outside',
      }),
    );
    choose(key, { from: 'size', id });
  };
  return (
    <View className="gap-2">
      <Text className="font-sans text-[15px] leading-5 text-muted">{words.when}</Text>
      {construction.results.length > 1 ? (
        <Switch
          label="What it gives"
          options={construction.results.map(({ key }) => ({ id: key, word: ownValue(words.numbers, key)! }))}
          value={draft.result}
          onChange={(key) => onChange({ ...draft, result: key })}
        />
      ) : null}
      <ConstructionFigure
        derivation={draft}
        quantity={quantity}
        result={result}
        onInput={(key) => setInput(key)}
      />
      <Text className="font-label text-[13.5px] text-muted">
        Tap a number on the figure to say what it is.
      </Text>
      {open ? (
        <SourceSheet
          what={ownValue(words.numbers, open.key)!}
          quantity={open.quantity}
          now={ownValue(draft.inputs, open.key) ?? null}
          without={[size.id]}
          onChoose={(source) => choose(open.key, source)}
          onNewSize={() => measureNew(open)}
          onClose={() => setInput(null)}
        />
      ) : null}
    </View>
  );
}
