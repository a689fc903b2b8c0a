import { DEFAULT_WORKSHOP, MATERIALS } from '@core/record/workshop';
import { NO_BRIEF, type Brief } from '@core/foundations/fields';
import {
  betterments,
  briefCautions,
  CLUES,
  firstFit,
  howItLies,
  isBetterBought,
  oldMaterial,
  speaksFor,
  sizesToTake,
  suitedMaterials,
  trialMaterial,
} from '@core/measuring/brief';
import {
  briefCautionSentence,
  firstFitSentence,
  oldMaterialSentence,
  reasonsSentence,
} from '@core/reporting/wording';

const brief = (more: Partial<Brief>): Brief => ({ ...NO_BRIEF, ...more });
const first = (answers: Record<string, string>) => oldMaterial(answers)[0]!;

describe('what the old part is made of', () => {
  test('chances add up to one, and without a clue they are those of household parts', () => {
    const tried: Record<string, string>[] = [
      {},
      { water: 'floats' },
      { water: 'sinks', acetone: 'softens', iron: 'below130' },
    ];
    for (const answers of tried) {
      expect(oldMaterial(answers).reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
    }
    expect(first({})).toEqual({ material: 'ABS', probability: 0.22 });
  });

  test('one clue by hand: of 100 household parts 25 are PP or PE, and nearly all that float are', () => {
    const floating = oldMaterial({ water: 'floats' });
    const weights = { PP: 18 * 0.98, PE: 7 * 0.98 };
    const polyolefins = floating.filter(({ material }) => material === 'PP' || material === 'PE');
    const share = polyolefins.reduce((sum, { probability }) => sum + probability, 0);
    // 61 other plastics at 3 in a hundred, 14 metals at 1 in a hundred.
    const all = weights.PP + weights.PE + 61 * 0.03 + 14 * 0.01;
    expect(share).toBeCloseTo((weights.PP + weights.PE) / all, 2);
  });

  test.each([
    [{ water: 'floats', iron: 'to180', feel: 'waxy' }, 'PP'],
    [{ water: 'sinks', acetone: 'softens', edge: 'whitens' }, 'ABS'],
    [{ water: 'sinks', acetone: 'softens', edge: 'snaps', iron: 'below130' }, 'PS'],
    [{ acetone: 'nothing', iron: 'above180', edge: 'springs', water: 'sinks' }, 'PA'],
    [{ iron: 'never', edge: 'snaps', feel: 'hard', magnet: 'not' }, 'PF'],
    [{ magnet: 'sticks', feel: 'cold' }, 'steel'],
    [{ feel: 'rubbery', water: 'sinks' }, 'TPU'],
    [{ mark: 'POM' }, 'POM'],
  ] as const)('%j: %s', (answers, material) => {
    expect(first(answers).material).toBe(material);
    expect(first(answers).probability).toBeGreaterThan(0.5);
  });

  test('every answer of a clue has a share for all, and the answers of a clue that is answered by all make up a hundred', () => {
    expect(CLUES.length).toBeGreaterThanOrEqual(7);
    for (const { id, answers } of CLUES) {
      for (const { ofHundred } of answers) {
        for (const share of Object.values(ofHundred)) expect(share).toBeLessThanOrEqual(100);
      }
      // Few parts have a mark.
      if (id === 'mark') continue;
      for (const material of ['PP', 'ABS', 'PA', 'PS', 'POM'] as const) {
        const sum = answers.reduce((all, { ofHundred }) => all + ofHundred[material], 0);
        expect({ id, material, near: Math.abs(sum - 100) <= 20 }).toEqual({ id, material, near: true });
      }
    }
  });

  test('what an answer says for a material is told, and what nobody knows changes nothing', () => {
    expect(speaksFor('water', 'floats', 'PP')).toBeGreaterThan(5);
    expect(speaksFor('water', 'sinks', 'PP')).toBeLessThan(0.1);
    expect(speaksFor('water', 'unknown', 'PP')).toBe(1);
    expect(oldMaterial({ tasted: 'sweet', water: 'perhaps' })).toEqual(oldMaterial({}));
    expect(oldMaterialSentence(oldMaterial({ mark: 'PP' }), 1)).toMatch(
      /^The old part is most likely polypropylene \(PP\) \(\d\d %\)/,
    );
  });
});

describe('materials for the spare', () => {
  const gradeOf = (id: string, more: Partial<Brief>) =>
    suitedMaterials(brief(more), MATERIALS).find(({ material }) => material.id === id)!;

  test('nothing said, everything is suited', () => {
    expect(new Set(suitedMaterials(NO_BRIEF, MATERIALS).map(({ grade }) => grade))).toEqual(
      new Set(['suited']),
    );
  });

  test('heat goes by where each gives under a light load (ISO 75)', () => {
    expect(gradeOf('pla', { heat: 'hot' })).toMatchObject({
      grade: 'unsuited',
      reasons: [{ code: 'heat.gives' }],
    });
    // 92 − 80 is less than 15.
    expect(gradeOf('abs', { heat: 'hot' }).grade).toBe('withCare');
    expect(gradeOf('pa12', { heat: 'boiling' }).grade).toBe('suited');
    expect(gradeOf('brass', { heat: 'boiling' }).grade).toBe('suited');
  });

  test('sun, water, knocks, springs and steady loads each say their word', () => {
    expect(gradeOf('asa', { surroundings: ['sun'] }).grade).toBe('suited');
    expect(gradeOf('abs', { surroundings: ['sun'] }).grade).toBe('unsuited');
    expect(gradeOf('steel', { surroundings: ['water'] }).grade).toBe('unsuited');
    expect(gradeOf('pla', { load: 'knocks' }).grade).toBe('unsuited');
    expect(gradeOf('pla', { movement: 'springs' }).grade).toBe('unsuited');
    expect(gradeOf('pp', { movement: 'springs' }).grade).toBe('suited');
    expect(gradeOf('petg', { load: 'steady' }).grade).toBe('withCare');
    const sorted = suitedMaterials(brief({ surroundings: ['sun'], load: 'knocks' }), MATERIALS).map(
      ({ grade }) => grade,
    );
    expect(sorted).toEqual(
      [...sorted].sort(
        (a, b) =>
          ['suited', 'withCare', 'unsuited'].indexOf(a) - ['suited', 'withCare', 'unsuited'].indexOf(b),
      ),
    );
  });

  test('what was said of a material goes before what is known of its kind', () => {
    const asa = MATERIALS.find(({ id }) => id === 'asa')!;
    const graded = (stands: typeof asa.stands, more: Partial<Brief>) =>
      suitedMaterials(brief(more), [{ ...asa, stands }])[0]!;
    expect(graded({ sun: 'unsuited' }, { surroundings: ['sun'] })).toMatchObject({
      grade: 'unsuited',
      reasons: [{ code: 'sun.brittle' }],
    });
    expect(graded({ food: 'suited' }, { surroundings: ['food'] })).toMatchObject({
      grade: 'suited',
      reasons: [],
    });
    expect(
      graded({ knocks: 'suited', water: 'withCare' }, { load: 'knocks', surroundings: ['water'] }),
    ).toMatchObject({
      grade: 'withCare',
      reasons: [{ code: 'water.swells' }, { code: 'knocks.well' }],
    });
    // One of one's own goes by its family.
    const own = { ...asa, id: 'own', stands: undefined };
    expect(suitedMaterials(brief({ surroundings: ['sun'] }), [own])[0]!.grade).toBe('withCare');
  });

  test('nothing home-made is suited to the mains', () => {
    expect(
      suitedMaterials(brief({ dangers: ['mains'] }), MATERIALS).every(({ grade }) => grade === 'unsuited'),
    ).toBe(true);
    expect(reasonsSentence(gradeOf('brass', { dangers: ['mains'] }).reasons)).toBe('Conducts.');
  });
});

test('cautions: what should not be made comes first, taking apart last, each with its sentence', () => {
  const cautions = briefCautions(
    brief({ dangers: ['children', 'brakes'], surroundings: ['food'], insides: ['spring'] }),
  );
  expect(cautions.map(({ code, stop, apart }) => [code, stop, apart])).toEqual([
    ['brakes', true, false],
    ['children', false, false],
    ['food', false, false],
    ['spring', false, true],
  ]);
  for (const caution of cautions) expect(briefCautionSentence(caution).length).toBeGreaterThan(20);
});

test('buying is the honest answer when it is cheap and soon', () => {
  expect(isBetterBought(brief({ bought: { cost: 3, days: 2 } }))).toBe(true);
  expect(isBetterBought(brief({ bought: { cost: 30, days: 2 } }))).toBe(false);
  expect(isBetterBought(brief({ bought: { cost: 3, days: null } }))).toBe(false);
});

test('what broke says what to better, each once', () => {
  expect(betterments(brief({ breaks: ['brittle', 'tooThin', 'brittle'] }))).toEqual(['tougher', 'thicker']);
});

describe('first choices', () => {
  test.each([
    [{ movement: 'rubs' }, 'bore', 'turns', 'rubs'],
    [{ movement: 'springs' }, 'tab', 'slides', 'springs'],
    [{ movement: 'still' }, 'peg', 'snug', 'still'],
    [{ movement: 'still', load: 'knocks' }, 'peg', 'pressed', 'knocks'],
    [{ movement: 'still', breaks: ['noLock'] }, 'bore', 'pressed', 'lock'],
    [{ movement: 'rubs' }, 'nut', 'slides', 'lies'],
    [{}, 'bore', 'turns', 'unknown'],
  ] as const)('of a brief with %j a %s goes as “%s”', (said, feature, fitClass, why) => {
    const first = firstFit(brief(said as Partial<Brief>), feature);
    expect(first).toEqual({ fitClass, why });
    expect(firstFitSentence('Word', first)).toMatch(/^It starts as “Word”, since .{20,}\./);
  });

  test('a trial is made of what is simpler and of the same family, if anything is', () => {
    expect(trialMaterial('asa', brief({}), DEFAULT_WORKSHOP)?.id).toBe('pla');
    expect(trialMaterial('pc', brief({ movement: 'springs' }), DEFAULT_WORKSHOP)?.id).toBe('petg');
    for (const id of ['pla', 'resin', 'tpu', 'brass'])
      expect(trialMaterial(id, brief({}), DEFAULT_WORKSHOP)).toBeNull();
    expect(trialMaterial('pla', brief({ movement: 'springs' }), DEFAULT_WORKSHOP)).toBeNull();
    expect(trialMaterial('petg', brief({ movement: 'springs' }), DEFAULT_WORKSHOP)).toBeNull();
  });
});

test('what it must fit is worth taking first; what broke, wore or springs is asked for, what was lost is not', () => {
  const names = (more: Partial<Brief>) => sizesToTake(brief(more)).map(({ name }) => name);
  expect(names({}).slice(0, 2)).toEqual(['What it goes over', 'What it goes into']);
  expect(names({})).toContain('Outside, largest');
  expect(names({ breaks: ['tooThin'] })).toContain('Thickness where it broke');
  expect(names({ breaks: ['worn'], movement: 'springs' })).toEqual(
    expect.arrayContaining(['Where it is unworn', 'How far it springs']),
  );
  expect(sizesToTake(brief({ breaks: ['lost'] })).every(({ of }) => of === 'counterpart')).toBe(true);
});

test('how it lies: what springs and bears runs along the layers, what rubs stands upright; nothing is said of a part that does neither', () => {
  expect(howItLies(NO_BRIEF)).toEqual([]);
  expect(howItLies({ ...NO_BRIEF, load: 'light', movement: 'still' })).toEqual([]);
  expect(howItLies({ ...NO_BRIEF, load: 'knocks', movement: 'springs', breaks: ['brittle'] })).toEqual([
    'springsAlong',
    'loadAlong',
  ]);
  expect(howItLies({ ...NO_BRIEF, movement: 'rubs' })).toEqual(['rubsRound']);
  expect(howItLies({ ...NO_BRIEF, breaks: ['brittle'] })).toEqual(['brokeAcross']);
});
