import { useMemo, useState } from 'react';
import { z } from 'zod';

import {
  allowableOf,
  howStrong,
  sectionOfMesh,
  sectionProperties,
  serviceOf,
  type Load,
  type Service,
} from '@core/checking/strength';
import { dot } from '@core/foundations/vectors';
import { USUAL_PRINT_SETUP, type Body } from '@core/record/model';
import { machineIn, materialIn } from '@core/record/workshop';
import type { LayersThere } from '@core/reporting/wording';
import { CUT_TAG, frameFacing, type CutPlane, type OpenedSolid } from '@core/shaping/part';

import { useRepairContext } from '../inRepair/useRepairContext';
import { readNumber, shownNumber } from '../shared/numberFields';

const FORCE = z.number().min(0.1).max(100_000);
const LEVER = z.number().min(0).max(5000);

/** Layers are said to be pulled apart from this angle on, and to run along the pull up to what is left of a right one, radians. */
const ACROSS = (70 * Math.PI) / 180;

/** What a spare that is cut open withstands there, for a load that is typed. */
export function useCutStrength({
  bodies,
  opened,
  plane,
  farMm,
}: {
  /** Spares that are cut, each with its cut. */
  bodies: readonly Body[];
  opened: ReadonlyMap<string, OpenedSolid>;
  plane: CutPlane;
  /** From the cut to the end of the part that is further away, mm. */
  farMm: number;
}) {
  const { repair, numbers } = useRepairContext();
  const [bodyId, setBodyId] = useState(bodies[0]?.id ?? '');
  const [kind, setKind] = useState<Load['kind']>('bent');
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
  return {
    bodyId,
    setBodyId,
    kind,
    setKind,
    force: { text: force, set: setForce, wrong: forceN.ok ? undefined : forceN.sentence },
    lever: { text: lever, set: setLever, wrong: leverMm.ok ? undefined : leverMm.sentence },
    load,
    faces: faces.length,
    section: own,
    found,
    layers,
    service,
    setService: setChosen,
    allowable,
    /** What is allowed across the layers, MPa. */
    acrossMpa: alongMpa * across,
    isLaid,
    material,
  };
}

const layersAt = (angle: number): LayersThere =>
  angle > ACROSS ? 'across' : angle < Math.PI / 2 - ACROSS ? 'along' : 'slanted';
