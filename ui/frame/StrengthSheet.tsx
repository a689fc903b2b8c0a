import { useMemo, useState } from 'react';
import { Text, View } from 'react-native';
import { z } from 'zod';

import { dot } from '@core/foundations/vectors';
import { CUT_TAG, frameFacing, type CutPlane, type OpenedSolid } from '@core/shaping/part';
import {
  allowableOf,
  howStrong,
  sectionOfMesh,
  sectionProperties,
  serviceOf,
  type Joint,
  type Load,
  type Service,
} from '@core/checking/strength';
import { USUAL_PRINT_SETUP, type Body } from '@core/record/model';
import {
  allowableSentence,
  bearsWords,
  enoughSentence,
  piecesSentence,
  sectionSentence,
  stressSentence,
  type LayersThere,
} from '@core/reporting/wording';
import { machineIn, materialIn } from '@core/record/workshop';

import { useRepairContext } from '../inRepair/useRepairContext';
import { useShow } from '../preferences/useShow';
import { Field } from '../shared/Field';
import { readNumber, shownNumber } from '../shared/numberFields';
import { Sheet } from '../shared/Sheet';
import { JointStrength } from './JointStrength';
import { ServiceChoice } from './ServiceChoice';
import { Switch } from '../shared/Switch';

const FORCE = z.number().min(0.1).max(100_000);
const LEVER = z.number().min(0).max(5000);

/** Layers are said to be pulled apart from this angle on, and to run along the pull up to what is left of a right one, radians. */
const ACROSS = (70 * Math.PI) / 180;

/** How strong a spare is where it is cut open: what the section bears when it is bent or pulled. */
export function StrengthSheet({
  bodies,
  opened,
  plane,
  farMm,
  onClose,
}: {
  /** Spares that are cut, each with its cut. */
  bodies: readonly Body[];
  opened: ReadonlyMap<string, OpenedSolid>;
  plane: CutPlane;
  /** From the cut to the end of the part that is further away, mm. */
  farMm: number;
  onClose(): void;
}) {
  const { repair, numbers } = useRepairContext();
  const show = useShow();
  const [bodyId, setBodyId] = useState(bodies[0]?.id ?? '');
  const [kind, setKind] = useState<Load['kind']>('bent');
  const [bearing, setBearing] = useState<'cut' | Joint['kind']>('cut');
  const [force, setForce] = useState('50');
  const [lever, setLever] = useState(() => shownNumber(Number(farMm.toFixed(1))));
  const body = bodies.find(({ id }) => id === bodyId);
  const cut = opened.get(bodyId);
  const forceN = readNumber(force, 'load', FORCE, { unit: 'N' });
  const leverMm = readNumber(lever, 'lever', LEVER, { unit: 'mm' });
  const load: Load | null = !forceN.ok
    ? null
    : kind === 'pulled'
      ? { kind, forceN: forceN.value }
      : leverMm.ok
        ? { kind, forceN: forceN.value, leverMm: leverMm.value }
        : null;

  // The kernel has a face for each piece that the cut goes through.
  const faces = useMemo(() => cut?.mesh.faces.filter(({ tag }) => tag === CUT_TAG) ?? [], [cut]);
  const section = useMemo(() => {
    const frame = frameFacing([0, 0, 0], plane.towards);
    return cut && sectionOfMesh(cut.mesh, faces, frame.origin, frame);
  }, [cut, faces, plane.towards]);
  const own = section && sectionProperties(section);
  const material = materialIn(numbers.workshop, repair.head.materialId);
  const [chosen, setChosen] = useState<Pick<Service, 'lasts' | 'safety'>>();
  const service = { ...serviceOf(body ?? {}, repair.head), ...chosen };
  const isLaid = machineIn(numbers.workshop, repair.head.machineId).process === 'printing';
  const { down } = body?.laying ?? USUAL_PRINT_SETUP;
  const angle = isLaid ? Math.asin(Math.min(1, Math.abs(dot(plane.towards, down)))) : 0;
  const layers = isLaid ? layersAt(angle) : 'none';
  const allowable = allowableOf(material, service, isLaid);
  const { alongMpa } = allowable;
  const across = isLaid ? material.across : 1;
  const found = section && own && load ? howStrong(section, own, load, { alongMpa, across, angle }) : null;
  return (
    <Sheet title="How strong it is here" onClose={onClose}>
      {bodies.length > 1 ? (
        <Switch
          label="Which spare"
          options={bodies.map(({ id, name }) => ({ id, word: name }))}
          value={bodyId}
          onChange={setBodyId}
        />
      ) : null}
      <Switch<'cut' | Joint['kind']>
        label="What carries the load"
        options={[
          { id: 'cut', word: 'The cut' },
          { id: 'screw', word: 'A screw' },
          { id: 'pin', word: 'A pin' },
          { id: 'tooth', word: 'A tooth' },
        ]}
        value={bearing}
        onChange={setBearing}
      />
      {bearing === 'cut' ? null : (
        <JointStrength
          kind={bearing}
          borneMpa={alongMpa * across}
          safety={service.safety}
          isLaid={isLaid}
          material={material.name}
        />
      )}
      {bearing === 'cut' ? (
        <>
          <Switch<Load['kind']>
            label="What the load does"
            options={[
              { id: 'bent', word: 'Bends it' },
              { id: 'twisted', word: 'Twists it' },
              { id: 'pulled', word: 'Pulls it' },
            ]}
            value={kind}
            onChange={setKind}
          />
          <View className="flex-row gap-3">
            <View className="flex-1">
              <Field
                label="Load (1 kg weighs 10 N)"
                unit="N"
                inputMode="decimal"
                pad="plain"
                value={force}
                onChangeText={setForce}
                wrong={forceN.ok ? undefined : forceN.sentence}
              />
            </View>
            {kind === 'pulled' ? null : (
              <View className="flex-1">
                <Field
                  label={kind === 'bent' ? 'Distance from the cut' : 'Distance from its middle'}
                  unit="mm"
                  inputMode="decimal"
                  pad="length"
                  value={lever}
                  onChangeText={setLever}
                  wrong={leverMm.ok ? undefined : leverMm.sentence}
                />
              </View>
            )}
          </View>
          {own ? (
            <View role="status" className="gap-2">
              {found && load ? (
                <>
                  <Text
                    className={`font-semibold text-[20px] ${found.thicker === null ? 'text-ink' : 'text-rust'}`}
                  >
                    {bearsWords({ ...found, safety: service.safety })}
                  </Text>
                  <Text className="font-sans text-[16px] leading-6 text-ink">
                    {enoughSentence(found, layers)}
                  </Text>
                  <Text className="font-sans text-[16px] leading-6 text-ink">
                    {stressSentence(found, load, { material: material.name, layers })}
                  </Text>
                </>
              ) : null}
              {faces.length > 1 ? (
                <Text className="font-medium text-[15px] leading-6 text-rust">
                  {piecesSentence(faces.length)}
                </Text>
              ) : null}
              <Text className="font-sans text-[15px] leading-6 text-muted">{sectionSentence(own, show)}</Text>
              <Text className="font-sans text-[15px] leading-6 text-muted">
                Guidance for solid sections: σ = M c / I of slender beams, twisting by Saint-Venant. Sharp
                corners, age and infill below 100 % take more off.
              </Text>
            </View>
          ) : (
            <Text role="status" className="font-sans text-[16px] leading-6 text-ink">
              The cut misses the part. Move it to where the part is, and check again.
            </Text>
          )}
        </>
      ) : null}
      <ServiceChoice service={service} onChange={setChosen} />
      <Text className="font-sans text-[15px] leading-6 text-muted">
        {allowableSentence(allowable, service)}
      </Text>
    </Sheet>
  );
}

const layersAt = (angle: number): LayersThere =>
  angle > ACROSS ? 'across' : angle < Math.PI / 2 - ACROSS ? 'along' : 'slanted';
