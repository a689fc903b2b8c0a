import X from 'lucide-react-native/icons/x';
import { useState } from 'react';
import { Pressable, ScrollView, Text, View } from 'react-native';

import type { Body } from '@core/record/model';
import { capital } from '@core/shaping/sentence';
import { withPatch } from '@core/shaping/recipe';
import { offersOnFace, type FaceOffer } from '@core/shaping/steps';
import { STEP_FIGURES } from '@core/shaping/steps/figures';

import { newId } from '../../api/newId';
import { useChangeRepair } from '../../api/useRepair';
import { useShownDraft } from '../../inRepair/draft';
import { useRepairContext } from '../../inRepair/useRepairContext';
import { useSolidView } from '../../inRepair/useSolidView';
import { touchedFace } from '../../part/touchedFace';
import { usePartTool } from '../../part/partTool';
import { pickWords } from '../../part/PickBar';
import { IconButton } from '../../shared/Button';
import { LineDrawing } from '../../shared/LineDrawing';
import { colours } from '../../theme/colours';
import { useNewStep } from './useNewStep';

/** What can be done at the face that was tapped; each is tried on the part while a finger is on it. */
export function FaceOffers({ body }: { body: Body }) {
  const { repair } = useRepairContext();
  const { put } = useChangeRepair(repair);
  const solid = useSolidView();
  const { touched, touch, setMeasuring, setPicked } = usePartTool();
  const [tried, setTried] = useState<FaceOffer | null>(null);
  const withNew = useNewStep(body);
  const withOffer = ({ kind, patch }: FaceOffer, id: string): Body => {
    const changed = withNew(kind, id);
    return { ...changed, steps: withPatch(changed.steps, id, patch) };
  };
  useShownDraft(tried && withOffer(tried, 'tried'));
  const picked = touched?.picked;
  const mesh = solid.bodies.find(({ bodyId }) => bodyId === body.id)?.mesh;
  if (picked?.kind !== 'face' || !mesh) return null;
  const near = picked.near.map((mm) => Math.round(mm * 1000) / 1000) as [number, number, number];
  const offers = offersOnFace({ tag: picked.tag, near }, touchedFace(mesh, picked));
  return (
    <View
      role="group"
      aria-label="What can be done at this face"
      className="border-b border-line bg-card pb-1.5"
    >
      <View className="flex-row items-center pl-4 pr-1.5">
        <Text role="status" numberOfLines={1} className="min-w-0 flex-1 font-medium text-[14.5px] text-ink">
          {capital(pickWords(picked, body))}
        </Text>
        <IconButton label="Let go of this face" onPress={() => touch(null)}>
          <X size={20} color={colours.ink} />
        </IconButton>
      </View>
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerClassName="gap-1.5 px-3">
        {offers.map((offer) => (
          <Offer
            key={offer.words}
            offer={offer}
            onLook={(isOn) => setTried(isOn ? offer : null)}
            onPress={() => {
              setTried(null);
              put('body', withOffer(offer, newId()), `Step ${body.steps.length + 1} added.`);
              touch(null);
            }}
          />
        ))}
        <Pressable
          accessibilityRole="button"
          onPress={() => {
            const face = touched!;
            setMeasuring(true);
            setPicked([face]);
          }}
          className="min-h-[44px] justify-center rounded border border-line bg-paper px-3 active:bg-green-soft"
        >
          <Text className="font-label text-[13.5px] text-ink">Measure from here</Text>
        </Pressable>
      </ScrollView>
    </View>
  );
}

function Offer({
  offer: { kind, words },
  onPress,
  onLook,
}: {
  offer: FaceOffer;
  onPress(): void;
  onLook(isOn: boolean): void;
}) {
  const figure = STEP_FIGURES[kind];
  return (
    <Pressable
      accessibilityRole="button"
      onPress={onPress}
      onPressIn={() => onLook(true)}
      onPressOut={() => onLook(false)}
      onHoverIn={() => onLook(true)}
      onHoverOut={() => onLook(false)}
      className="min-h-[44px] w-[86px] items-center rounded border border-line bg-paper px-1 py-1 active:bg-green-soft"
    >
      <LineDrawing picture={figure} made={figure.made} ghost={figure.ghost} size={34} />
      <Text className="text-center font-label text-[12.5px] leading-[15px] text-ink">{words}</Text>
    </Pressable>
  );
}
