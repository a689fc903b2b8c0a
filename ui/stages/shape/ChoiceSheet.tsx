import { useEffect, useState } from 'react';
import { View } from 'react-native';

import type { Body, EdgeRule, Step } from '@core/record/model';
import { withPatch } from '@core/shaping/recipe';
import type { ChoiceFigure, Option, PickWanted, SentencePart } from '@core/shaping/sentence';
import { CHOICE_DRAWINGS } from '@core/shaping/steps/choiceFigures';

import { useShownDraft } from '../../inRepair/draft';
import { usePartTool } from '../../part/partTool';
import { Button } from '../../shared/Button';
import { ChoiceRow } from '../../shared/ChoiceRow';
import { DrawnTile } from '../../shared/DrawnTile';
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
  const [tried, setTried] = useState<Option | null>(null);
  const isNew = tried !== null && !tried.pick && tried.word !== choice.text;
  useShownDraft(isNew ? { ...body, steps: withPatch(body.steps, step.id, tried.patch) } : null);
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
  const isChosen = (option: Option) => (looked ? looked === option : option.word === choice.text);
  return (
    <Sheet title={`Change ${choice.what}`} showsPart onClose={() => leave(onClose)}>
      {choice.options.length >= SEARCH_FROM ? (
        <Field label="Find" value={search} onChangeText={setSearch} autoCorrect={false} />
      ) : null}
      {inGroups(options).map(({ group, drawn, rows }) => (
        <View key={group} className="gap-1.5">
          {group ? <GroupHeading>{group}</GroupHeading> : null}
          <View className="flex-row flex-wrap gap-2">
            {drawn.map((option) => (
              <DrawnTile
                key={option.word}
                figure={CHOICE_DRAWINGS[option.figure]}
                title={option.word}
                note={edgeCount(counts?.get(option.word))}
                chosen={isChosen(option)}
                onPress={() => press(option)}
                onLook={(isOn) => setTried(isOn && !counts ? option : null)}
              />
            ))}
          </View>
          {rows.map((option) => (
            <ChoiceRow
              key={option.word}
              title={option.word}
              note={edgeCount(counts?.get(option.word))}
              chosen={isChosen(option)}
              onPress={() => press(option)}
              onLook={(isOn) => setTried(isOn && !counts ? option : null)}
            />
          ))}
          {looked && (drawn as Option[]).concat(rows).includes(looked) ? (
            <Button
              tone="primary"
              label="Use these edges"
              onPress={() => leave(() => onTake(looked.patch))}
            />
          ) : null}
        </View>
      ))}
    </Sheet>
  );
}

type DrawnOption = Option & { figure: ChoiceFigure };
const isDrawn = (option: Option): option is DrawnOption => option.figure !== undefined;

/** Options of a group, the drawn ones first. */
function inGroups(options: readonly Option[]) {
  const groups = [...new Set(options.map(({ group = '' }) => group))];
  return groups.map((group) => {
    const own = options.filter((option) => (option.group ?? '') === group);
    return { group, drawn: own.filter(isDrawn), rows: own.filter((option) => !isDrawn(option)) };
  });
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
