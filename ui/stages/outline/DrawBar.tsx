import { useState } from 'react';
import { View } from 'react-native';

import { parseLength, typedUnitOf } from '@core/foundations/quantity';
import type { Body } from '@core/record/model';
import { RELATION_WORDS } from '@core/reporting/wording';
import { LEAST_SIDES, MOST_SIDES } from '@core/shaping/drawnEdits';

import { useShow } from '../../preferences/useShow';
import { Button } from '../../shared/Button';
import { CountSteps } from '../../shared/CountSteps';
import { Field } from '../../shared/Field';
import { Chip } from './Chip';
import { ToolTile } from './ToolTile';
import {
  CUT_TOOLS,
  DRAW_TOOLS,
  FOLLOW_TOOL,
  isDrawTool,
  isRunTool,
  type Tool,
  type ToolChoice,
} from './tools';
import type { Lines } from './useLines';

/** What to draw with; while something is drawn, what it looks like, and where to by numbers. */
export function DrawBar({
  lines,
  mayCut,
  mayEnclose,
  seen,
}: {
  lines: Lines;
  /** What is seen behind the drawing, and other bodies that could be. */
  seen: {
    isAny: boolean;
    others: readonly Pick<Body, 'id' | 'name'>[];
    otherId: string | null;
    show(otherId: string | null): void;
  };
  /** There are curves that can be changed. */
  mayCut: boolean;
  /** Areas of it can be its outline: those of a path can't. */
  mayEnclose: boolean;
}) {
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string>();
  const show = useShow();
  const go = () => {
    const place = typedPlace(text, (number) => {
      const read = parseLength(number, typedUnitOf(show.unit));
      return read.ok ? read.value : null;
    });
    if (!place) {
      setWrong('Type a length and an angle, such as 24 at 30, or two distances, such as 10, 5.');
      return;
    }
    lines.typed(place);
    setText('');
    setWrong(undefined);
  };
  return (
    <View className="gap-2 px-3 pb-2">
      <View className="flex-row flex-wrap gap-1">
        {toolsFor(lines.tool, { mayCut, mayEnclose, maySee: seen.isAny }).map(({ tool, word, short }) => (
          <ToolTile
            key={tool}
            tool={tool}
            word={short ?? word}
            label={word}
            isInHand={lines.tool === tool}
            onPress={() => lines.take(lines.tool === tool ? null : tool)}
          />
        ))}
        {lines.tool ? <Button label="Stop" onPress={() => lines.take(null)} /> : null}
      </View>
      {lines.tool ? (
        <>
          {lines.looks.length > 0 ? (
            <View className="flex-row flex-wrap gap-1.5">
              {lines.looks.map((relation) => (
                <Chip
                  key={JSON.stringify(relation)}
                  label={`Make it ${RELATION_WORDS[relation.kind].toLowerCase()}`}
                  sign={relation.kind}
                  onPress={() => lines.takeLook(relation)}
                />
              ))}
            </View>
          ) : null}
          {lines.tool === 'follow' && seen.others.length > 0 ? (
            <View role="radiogroup" aria-label="Edges of" className="flex-row flex-wrap gap-1.5">
              {[{ id: null, name: 'This part' }, ...seen.others].map(({ id, name }) => (
                <Button
                  key={id}
                  label={name}
                  tone={seen.otherId === id ? 'primary' : 'plain'}
                  onPress={() => seen.show(id)}
                />
              ))}
            </View>
          ) : null}
          {lines.tool === 'polygon' ? (
            <CountSteps
              what="side"
              least={LEAST_SIDES}
              most={MOST_SIDES}
              value={lines.sides}
              onChange={lines.setSides}
            />
          ) : null}
          {lines.filled.length > 0 ? (
            <Button
              tone="primary"
              label={lines.filled.length === 1 ? 'Make it the outline' : 'Make them the outline'}
              onPress={lines.takeAreas}
            />
          ) : null}
          {lines.mayEnd ? <Button label="End the curve here" onPress={lines.end} /> : null}
          <View className="flex-row items-end gap-2">
            <View className="flex-1">
              <Field
                label={isDrawTool(lines.tool) ? 'Or where to: 24 at 30, or 10, 5' : 'Or where: 10, 5'}
                value={text}
                onChangeText={(next) => {
                  setText(next);
                  setWrong(undefined);
                }}
                // What is typed next may begin before the screen has drawn this.
                blurOnSubmit={false}
                onSubmitEditing={go}
                wrong={wrong}
              />
            </View>
            {!isDrawTool(lines.tool) ? null : (
              <Button
                label={lines.isHelper ? 'Construction' : 'Outline'}
                name={lines.isHelper ? 'Construction lines are drawn' : 'Outline is drawn'}
                onPress={() => lines.setHelper(!lines.isHelper)}
              />
            )}
          </View>
        </>
      ) : null}
    </View>
  );
}

/** All tools to choose from; while one is in hand, that one, and the one that goes on with its run. */
function toolsFor(
  inHand: Tool | null,
  { mayCut, mayEnclose, maySee }: Record<'mayCut' | 'mayEnclose' | 'maySee', boolean>,
): readonly ToolChoice[] {
  const all = [
    ...DRAW_TOOLS,
    ...(mayCut ? CUT_TOOLS.filter(({ tool }) => mayEnclose || tool !== 'area') : []),
    ...(maySee ? [FOLLOW_TOOL] : []),
  ];
  if (inHand === null) return all;
  return all.filter(({ tool }) => tool === inHand || (isRunTool(inHand) && isRunTool(tool)));
}

/** A place by its numbers, mm: a length at an angle in degrees, or so far to the right and up. */
export function typedPlace(
  text: string,
  lengthOf: (number: string) => number | null,
): readonly [number, number] | null {
  const at = /^(.+?)\s*(?:at|@|<)\s*([-+]?\d+(?:[.,]\d+)?)\s*°?$/i.exec(text.trim());
  if (at) {
    const length = lengthOf(at[1]!);
    const angle = (Number(at[2]!.replace(',', '.')) * Math.PI) / 180;
    return length === null ? null : [length * Math.cos(angle), length * Math.sin(angle)];
  }
  const pair = text.trim().split(/\s*[;]\s*|,\s+|\s+/);
  if (pair.length !== 2) return null;
  const [x, y] = pair.map(lengthOf);
  return x === null || y === null || x === undefined || y === undefined ? null : [x, y];
}
