import { createElement, useEffect, useRef, useState } from 'react';
import { ScrollView, Text, View } from 'react-native';

import type { OverhangFaces, Happening, LayerDrawing } from '@core/making/printing';
import { HAPPENING_WORDS, MOVE_WORDS } from '@core/reporting/wording';

import { Button } from '../shared/Button';
import { useScene } from '../scene/useScene';
import { colours } from '../theme/colours';
import { LayerScene } from './layerScene';
import { lineAt } from './whatIsHere';
import { litAnew } from '../preferences/litAnew';

const RULE_PX = 54;
/** How near a tap has to be to a line, px. */
const NEAR_PX = 18;

/** One layer on tracing paper over those below, and the height as an engraved rule at its edge. */
export const LayerView = litAnew(LayerCanvas);

function LayerCanvas({
  drawing,
  happenings,
  layer,
  onLayer,
  hasWays = true,
  overhangs = null,
  ringed = null,
}: {
  drawing: LayerDrawing;
  happenings: readonly Happening[];
  layer: number;
  onLayer(layer: number): void;
  /** Something goes from line to line; what is lit has no ways. */
  hasWays?: boolean;
  /** What may be painted on the part. */
  overhangs?: OverhangFaces | null;
  /** A place that is shown, mm on the bed. */
  ringed?: readonly [number, number, number] | null;
}) {
  const { canvas, scene, failed, onLayout } = useScene(LayerScene);
  const [fromAbove, setFromAbove] = useState(false);
  const [travel, setTravel] = useState(false);
  const [painted, setPainted] = useState(false);
  const [here, setHere] = useState<string | null>(null);
  useEffect(() => scene.current?.setDrawing(drawing), [scene, drawing]);
  useEffect(() => scene.current?.show(layer, travel), [scene, drawing, layer, travel]);
  useEffect(() => scene.current?.look(fromAbove), [scene, fromAbove]);
  useEffect(() => scene.current?.paint(painted ? overhangs : null), [scene, drawing, overhangs, painted]);
  useEffect(() => scene.current?.ring(ringed), [scene, drawing, ringed]);
  useEffect(() => setHere(null), [layer, drawing]);

  const down = useRef<{ x: number; y: number } | null>(null);
  const placeOf = (event: React.PointerEvent) => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };
  const onPointerUp = (event: React.PointerEvent) => {
    const [from, to] = [down.current, placeOf(event)];
    if (!from || Math.hypot(to.x - from.x, to.y - from.y) > 8) return;
    const place = scene.current?.placeAt(to);
    if (!place) return;
    const line = lineAt(drawing, layer, place, NEAR_PX * place.mmPerPx);
    setHere(
      line
        ? // What is lit has edges without breadth or speed.
          `Here: ${MOVE_WORDS[line.kind]}${line.widthMm > 0 ? `, ${line.widthMm.toFixed(2)} mm wide, printed at ${line.speed.toFixed(0)} mm/s` : ''}.`
        : 'Nothing is printed here in this layer.',
    );
  };
  const top = drawing.topMm[layer] ?? 0;
  return (
    <View className="flex-1">
      <View className="flex-1 flex-row overflow-hidden bg-bench">
        <View className="flex-1" onLayout={onLayout}>
          <canvas
            ref={canvas}
            role="img"
            aria-label={
              failed
                ? 'The layers can’t be drawn: this browser offers no 3D graphics.'
                : `Layer ${layer + 1} of ${drawing.topMm.length}, over those below it. Arrow keys up and down go to other layers, plus and minus zoom, 0 fits it into view.`
            }
            tabIndex={0}
            onKeyDown={(event) => {
              const act = {
                ArrowUp: () => onLayer(Math.min(layer + 1, drawing.topMm.length - 1)),
                ArrowDown: () => onLayer(Math.max(layer - 1, 0)),
                '+': () => scene.current?.zoom(1.25),
                '-': () => scene.current?.zoom(0.8),
                '0': () => scene.current?.fit(),
              }[event.key];
              if (!act) return;
              event.preventDefault();
              act();
            }}
            onPointerDown={(event) => (down.current = placeOf(event))}
            onPointerUp={onPointerUp}
            style={{ width: '100%', height: '100%', display: 'block', touchAction: 'none' }}
          />
          {here ? (
            <View className="absolute inset-x-2 bottom-2 rounded-sm border border-line bg-card px-3 py-2">
              <Text role="status" className="font-label text-[14px] text-ink">
                {here}
              </Text>
            </View>
          ) : null}
        </View>
        <HeightRule drawing={drawing} happenings={happenings} layer={layer} topMm={top} onLayer={onLayer} />
      </View>
      {/* In a row of their own: nothing lies over the drawing. */}
      <ScrollView
        horizontal
        showsHorizontalScrollIndicator={false}
        className="shrink-0 grow-0 border-t border-line bg-paper"
        contentContainerClassName="gap-2 px-2 py-1.5"
      >
        <Button
          label={fromAbove ? 'From the corner' : 'From above'}
          onPress={() => setFromAbove(!fromAbove)}
        />
        {hasWays ? (
          <Button
            label={travel ? 'Hide travel moves' : 'Show travel moves'}
            onPress={() => setTravel(!travel)}
          />
        ) : null}
        {overhangs && overhangs.areaMm2 >= 1 ? (
          <Button
            label={painted ? 'Hide overhangs' : 'Show overhangs'}
            onPress={() => setPainted(!painted)}
          />
        ) : null}
      </ScrollView>
    </View>
  );
}

/** The height as a rule with a tick every few layers and a longer one where something happens; pulled by the thumb. */
function HeightRule({
  drawing,
  happenings,
  layer,
  topMm,
  onLayer,
}: {
  drawing: LayerDrawing;
  happenings: readonly Happening[];
  layer: number;
  topMm: number;
  onLayer(layer: number): void;
}) {
  const count = drawing.topMm.length;
  const share = (of: number) => (count > 1 ? of / (count - 1) : 0);
  const what = happenings.filter((one) => one.layer === layer).map((one) => HAPPENING_WORDS[one.what]);
  const every = Math.max(1, Math.round(count / 24));
  return (
    <View style={{ width: RULE_PX }} className="border-l border-line bg-paper">
      <View className="absolute inset-x-0 top-0 items-center py-1">
        <Text className="font-number text-[13px] tabular-nums text-ink">{topMm.toFixed(2)}</Text>
      </View>
      <View className="absolute inset-x-0 bottom-3 top-9">
        {Array.from({ length: Math.ceil(count / every) }, (_, index) => (
          <View
            key={index}
            className="absolute right-0 h-px bg-rule"
            style={{ bottom: `${100 * share(index * every)}%`, width: index % 5 === 0 ? 14 : 8 }}
          />
        ))}
        {happenings.map(({ layer: at, what: kind }, index) => (
          <View
            key={index}
            className={`absolute right-0 h-[3px] ${kind.startsWith('slice.') ? 'bg-rust' : 'bg-green'}`}
            style={{ bottom: `${100 * share(at)}%`, width: 24 }}
          />
        ))}
        {/* The platform's own slider: it has touch, mouse and keys already. */}
        {createElement('input', {
          type: 'range',
          min: 0,
          max: count - 1,
          step: 1,
          value: layer,
          'aria-label': 'Layer',
          'aria-orientation': 'vertical',
          'aria-valuetext': [`${layer + 1} of ${count}, up to ${topMm.toFixed(2)} mm`, ...what].join('. '),
          onChange: (event: { target: { value: string } }) => onLayer(Number(event.target.value)),
          style: {
            position: 'absolute',
            left: 0,
            top: 0,
            bottom: 0,
            width: 44,
            height: '100%',
            margin: 0,
            writingMode: 'vertical-lr',
            direction: 'rtl',
            accentColor: colours.green.DEFAULT,
          },
        })}
      </View>
    </View>
  );
}
