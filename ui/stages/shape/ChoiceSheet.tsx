import { useEffect, useState } from 'react';
import { View } from 'react-native';

import type { Body, EdgeRule, Step } from '@core/record/model';
import type { Option, PickWanted, SentencePart } from '@core/shaping/sentence';

import { usePartTool } from '../../part/partTool';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { Field } from '../../shared/Field';
import { GroupHeading } from '../../shared/Heading';
import { Sheet } from '../../shared/Sheet';
import { workbench } from '../../solid/useSolid';

type Choice = Extract<SentencePart, { kind: 'choice' }>;

/** More options than this are easier found by typing. */
const SEARCH_FROM = 16;

/** The other words of a choice. Rules for edges tell how many they catch, and show them on the part first. */
export function ChoiceSheet({
  body,
  step,
  choice,
  onTake,
  onPick,
  onClose,
}: {
  body: Body;
  step: Step;
  choice: Choice;
  onTake(patch: Record<string, unknown>): void;
  onPick(want: PickWanted): void;
  onClose(): void;
}) {
  const { show } = usePartTool();
  const [search, setSearch] = useState('');
  const [looked, setLooked] = useState<Option | null>(null);
  const counts = useEdgeCounts(body, step, choice);
  const leave = (next: () => void) => {
    show(null);
    next();
  };
  const press = (option: Option) => {
    if (option.pick) {
      const want = option.pick;
      leave(() => onPick(want));
    } else if (counts && 'where' in option.patch && looked !== option) {
      setLooked(option);
      void workbench.ask
        .showEdges(body.id, stepsBefore(body, step), option.patch.where as EdgeRule)
        .then(show)
        .catch(() => undefined);
    } else {
      leave(() => onTake(option.patch));
    }
  };
  const wanted = search.trim().toLowerCase();
  const options = choice.options.filter(
    ({ word }) =>
      word.toLowerCase().includes(wanted) &&
      // Rules that catch nothing are no choice, unless one of them holds now.
      (word === choice.text || counts?.get(word) !== 0),
  );
  return (
    <Sheet title={`Change ${choice.what}`} onClose={() => leave(onClose)}>
      {choice.options.length >= SEARCH_FROM ? (
        <Field label="Find" value={search} onChangeText={setSearch} autoCorrect={false} />
      ) : null}
      <View className="gap-1.5">
        {options.map((option, index) => (
          <View key={option.word} className="gap-1.5">
            {option.group && option.group !== options[index - 1]?.group ? (
              <GroupHeading>{option.group}</GroupHeading>
            ) : null}
            <ChoiceRow
              title={option.word}
              note={edgeCount(counts?.get(option.word))}
              chosen={looked ? looked === option : option.word === choice.text}
              onPress={() => press(option)}
            />
            {looked === option ? (
              <Button
                tone="primary"
                label="Use these edges"
                onPress={() => leave(() => onTake(option.patch))}
              />
            ) : null}
          </View>
        ))}
      </View>
    </Sheet>
  );
}

const edgeCount = (count: number | undefined) =>
  count === undefined
    ? undefined
    : count === 1
      ? 'catches 1 edge'
      : `catches ${count === 0 ? 'no' : count} edges`;

const stepsBefore = (body: Body, step: Step) =>
  body.steps.slice(0, body.steps.indexOf(step)).filter(({ off }) => !off).length;

/** How many edges each rule of a choice catches, by its words; null for a choice of something else. */
function useEdgeCounts(body: Body, step: Step, choice: Choice): ReadonlyMap<string, number> | null {
  const rules = choice.options.flatMap(({ word, patch }) =>
    'where' in patch ? [{ word, rule: patch.where as EdgeRule }] : [],
  );
  const [counts, setCounts] = useState<ReadonlyMap<string, number>>(new Map());
  useEffect(() => {
    if (rules.length === 0) return;
    let current = true;
    void workbench.ask
      .countEdges(
        body.id,
        stepsBefore(body, step),
        rules.map(({ rule }) => rule),
      )
      .then((found) => {
        if (current) setCounts(new Map(rules.map(({ word }, index) => [word, found[index]!])));
      })
      .catch(() => undefined);
    return () => {
      current = false;
    };
    // Asked once, when the sheet opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return rules.length > 0 ? counts : null;
}
