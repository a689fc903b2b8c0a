import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';

import {
  Correction,
  Machine,
  type Filament,
  type FitTable,
  type Instrument,
  type LayerPrinter,
  type LayerSet,
  type Material,
  type Workshop,
} from '@core/record/model';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { FilamentForm } from './FilamentForm';
import { FitTableSheet } from './FitTableSheet';
import { InstrumentForm } from './InstrumentForm';
import { LayerPrinterForm } from './LayerPrinterForm';
import { LayerSetForm } from './LayerSetForm';
import { MachineForm } from './MachineForm';
import { MaterialForm } from './MaterialForm';
import { readNumber, shownNumber } from '../shared/numberFields';
import { PutAway } from './PutAway';

const save = jest.fn();
const close = jest.fn();
beforeEach(() => {
  save.mockReset();
  close.mockReset();
});
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string | RegExp, value: string, place = 0) =>
  fireEvent.change(screen.getAllByLabelText(label)[place]!, { target: { value } });
const saved = <T,>() => (save.mock.calls[0] as [string, T])[1];

describe('numbers of the workshop’s forms', () => {
  test('are read with any unit and held to their limits', () => {
    const offset = Correction.shape.offsetMm;
    const mm = { unit: 'mm' };
    const percent = { unit: '%', times: 0.01 };
    expect(readNumber('0,05', 'offset', offset, mm)).toMatchObject({ value: 0.05 });
    expect(readNumber('0.002 in', 'offset', offset, mm)).toMatchObject({
      value: expect.closeTo(0.0508, 9),
    });
    expect(readNumber('9', 'offset', offset, mm)).toMatchObject({
      sentence: 'The offset must be between -5 and 5. Change the number.',
    });
    expect(readNumber('', 'offset', offset, mm).ok).toBe(false);
    expect(readNumber('0', 'scatter', Machine.shape.scatterMm, mm)).toMatchObject({
      sentence: 'The scatter must be more than 0 and at most 5. Change the number.',
    });
    expect(readNumber('25', 'share', Correction.shape.scale, percent)).toMatchObject({
      sentence: 'The share must be between -20 and 20. Change the number.',
    });
    expect(readNumber('0.7', 'share', Correction.shape.scale, percent)).toEqual({ ok: true, value: 0.007 });
    // A share of 0.5 inch would be 12.7 %.
    for (const typed of ['0.5 in', '0.5"', '1/2"'])
      expect(readNumber(typed, 'share', Correction.shape.scale, percent)).toMatchObject({
        sentence: 'The share takes only a number, in %. Leave out everything but the number.',
      });
  });

  test('are shown without binary dust', () => {
    expect(shownNumber(0.1 + 0.2)).toBe('0.3');
    expect(shownNumber(0)).toBe('0');
  });
});

/** Keeps what was typed, or finds out what is wrong with it. */
const keep = async () => {
  press('Keep');
  await waitFor(() =>
    expect(save.mock.calls.length + screen.queryAllByRole('alert').length).toBeGreaterThan(0),
  );
};

describe('an instrument', () => {
  const caliper = DEFAULT_WORKSHOP.instruments[0]!;
  const protractor = DEFAULT_WORKSHOP.instruments.find(({ kind }) => kind === 'protractor')!;
  const show = (instrument: Instrument) =>
    render(<InstrumentForm instrument={instrument} onSave={save} onClose={close} />);

  test('is kept as it was when nothing is changed', async () => {
    show(caliper);
    await keep();
    expect(saved<Instrument>()).toEqual(caliper);
    expect(close).toHaveBeenCalled();
  });

  test('an angle is told in degrees and kept in radians', async () => {
    show(protractor);
    expect((screen.getByLabelText('It reaches') as HTMLInputElement).value).toBe('180');
    type('Step of its display', '0.5');
    await keep();
    expect(saved<Instrument>().resolution).toBeCloseTo(Math.PI / 360, 9);
    expect(saved<Instrument>().reach).toBeCloseTo(Math.PI, 6);
  });

  test('ranges are put in order', async () => {
    show(caliper);
    press('Another range');
    type('Range 3, up to', '50');
    type('Plus or minus', '0.01', 2);
    await keep();
    expect(saved<Instrument>().permissibleErrors).toEqual([
      { upTo: 50, plusMinus: 0.01 },
      { upTo: 100, plusMinus: 0.02 },
      { upTo: 200, plusMinus: 0.03 },
    ]);
  });

  test.each([
    ['Name', ' ', 'needs a name'],
    ['Step of its display', '0', 'step of the display'],
    ['It reaches', 'far', '“far”'],
  ])('%s %j is told', async (label, value, sentence) => {
    show(caliper);
    type(label, value);
    await keep();
    expect(screen.getByRole('alert').textContent).toContain(sentence);
    expect(save).not.toHaveBeenCalled();
  });

  test('is put away, not deleted', async () => {
    show(caliper);
    press('Put it away');
    expect(saved<Instrument>()).toEqual({ ...caliper, removed: true });
  });
});

describe('a machine', () => {
  const printer = DEFAULT_WORKSHOP.machines[0]!;
  const show = (machine: Machine = printer) =>
    render(
      <MachineForm machine={machine} onSave={save} onLayers={close} onHabits={() => {}} onClose={close} />,
    );
  const group = (name: string | RegExp) => within(screen.getByRole('group', { name }));

  test('a correction for one material starts from the general one and stands beside it', async () => {
    show();
    fireEvent.change(screen.getByLabelText('Material of the corrections'), { target: { value: 'soft' } });
    await screen.findAllByText(/as for any material/);
    const holes = group('Insides, such as holes');
    expect((holes.getByLabelText('Add') as HTMLInputElement).value).toBe('0.12');
    fireEvent.change(holes.getByLabelText('Add'), { target: { value: '0.2' } });
    fireEvent.change(holes.getByLabelText('and of the size'), { target: { value: '0.4' } });
    await keep();
    const { corrections } = saved<Machine>();
    expect(corrections.filter(({ feature }) => feature === 'inside')).toEqual([
      printer.corrections.find(({ feature }) => feature === 'inside'),
      expect.objectContaining({ family: 'soft', offsetMm: 0.2, scale: 0.004 }),
    ]);
  });

  test('shrinkage is told in percent along each axis', async () => {
    show();
    fireEvent.click(screen.getByRole('radio', { name: 'It shrinks' }));
    type('Left to right', '1.5');
    type('Front to back', '1.5');
    type('Height', '2');
    await keep();
    expect(saved<Machine>().shrinkage).toEqual({ x: 0.015, y: 0.015, z: 0.02 });
  });

  test('what was only looked at stays to the last digit', async () => {
    const learned = { ...printer, scatterMm: 0.0312345678, shrinkage: { x: 0.0123456789, y: 0, z: 0 } };
    show(learned);
    fireEvent.change(screen.getByLabelText('Material of the corrections'), { target: { value: 'soft' } });
    await screen.findAllByText(/as for any material/);
    await keep();
    expect(saved<Machine>()).toEqual(learned);
  });

  test('a number that is wrong is seen to before another material is looked at', async () => {
    show();
    fireEvent.change(group('Insides, such as holes').getByLabelText('Add'), { target: { value: '12' } });
    fireEvent.change(screen.getByLabelText('Material of the corrections'), { target: { value: 'soft' } });
    expect((await screen.findByRole('alert')).textContent).toContain('The offset must be between -5 and 5');
    expect(screen.queryByText(/as for any material/)).toBeNull();
  });

  test.each([
    ['Name', 'x'.repeat(81), /has 81 characters; there is room for 80/],
    ['Where was it learned?', 'x'.repeat(121), /at most 120 characters/],
  ])('%s that is too long is told, and not cut', async (label, text, sentence) => {
    show();
    type(label, text);
    await keep();
    expect(screen.getByRole('alert').textContent).toMatch(sentence);
    expect(save).not.toHaveBeenCalled();
  });

  test('a variation of nothing is refused', async () => {
    show();
    type(/^Variation/, '0');
    await keep();
    expect(screen.getByRole('alert').textContent).toContain('variation');
    expect(save).not.toHaveBeenCalled();
  });
});

describe('the clearances of the classes', () => {
  const table = DEFAULT_WORKSHOP.fitTables[0]!;
  const show = () => render(<FitTableSheet table={table} onSave={save} onClose={close} />);

  test('typed per side are kept on the diameter', async () => {
    show();
    const turns = () => screen.getByLabelText(/^Turns/) as HTMLInputElement;
    expect(turns().value).toBe(shownNumber(table.clearances.turns));
    fireEvent.click(screen.getByRole('radio', { name: 'Per side' }));
    expect(Number(turns().value)).toBeCloseTo(table.clearances.turns / 2, 9);
    type(/^Turns/, '0.1');
    await keep();
    expect(saved<FitTable>().clearances).toEqual({ ...table.clearances, turns: 0.2 });
  });

  test('must go from loose to tight', async () => {
    show();
    type(/^Slides/, '0.5');
    await keep();
    expect(screen.getByRole('alert').textContent).toContain('Slides must be tighter than turns');
    expect(save).not.toHaveBeenCalled();
  });
});

describe('how layers are laid', () => {
  const machine = DEFAULT_WORKSHOP.machines[0]!;
  const printer = DEFAULT_WORKSHOP.layerPrinters[0]!;
  const showPrinter = (row: LayerPrinter) =>
    render(<LayerPrinterForm machine={machine} printer={row} onSave={save} onClose={close} />);
  test('a printer is kept to the last digit where nothing was typed', async () => {
    showPrinter(printer);
    await keep();
    expect(saved<LayerPrinter>()).toEqual(printer);
    expect(close).toHaveBeenCalled();
  });

  test('numbers are typed as people have them and kept as the core has them', async () => {
    showPrinter(printer);
    type('Nozzle', '0.6');
    type('To the right', '30 cm');
    type('Overhang up to', '50');
    type('Warm-up', '5');
    type('Before a job', ' G28 \n\nG29\n');
    await keep();
    expect(saved<LayerPrinter>()).toEqual({
      ...printer,
      nozzleMm: 0.6,
      envelopeMm: [300, 220, 250],
      overhang: expect.closeTo((50 * Math.PI) / 180, 12),
      warmUpSeconds: 300,
      startGcode: ['G28', 'G29'],
    });
  });

  test.each([
    ['Outer wall', '4000', 'The outer wall must be between 1 and 2000. Change the number.'],
    ['Overhang up to', '120', /must be between 5\.7\d* and 85\.9\d*/],
    [
      'Hottest nozzle',
      '250 C',
      'The hottest nozzle takes only a number, in °C. Leave out everything but the number.',
    ],
    ['Warm-up', '8"', 'The warm-up takes only a number, in min. Leave out everything but the number.'],
    ['Thinnest layer', '0.5', 'The thinnest layer is thicker than the thickest. Change one of them.'],
    [
      'After a job',
      'G28\nG1 Z[first_layer_height] F300',
      /“After a job”, line 2, is not valid G-code: “G1 Z\[first_layer_height\] F300”/,
    ],
    ['Before a job', `G1 ${'X'.repeat(200)}`, /must have at most 200 characters/],
  ])('%s of %s is not taken, and why is said', async (label, text, sentence) => {
    showPrinter(printer);
    type(label, text);
    await keep();
    expect(save).not.toHaveBeenCalled();
    expect(close).not.toHaveBeenCalled();
    expect(screen.getByRole('alert').textContent).toMatch(sentence);
    expect(screen.getByLabelText<HTMLInputElement>(label).value).toBe(text);
  });

  test('one of which nobody said anything begins with usual figures, and says so', () => {
    showPrinter({ ...printer, version: 0 });
    expect(screen.getByText(/Not set yet/)).toBeTruthy();
  });

  test('shares are typed in hundredths; counts are whole', async () => {
    const set = DEFAULT_WORKSHOP.layerSets[1]!;
    render(<LayerSetForm set={set} onSave={save} onClose={close} />);
    expect(screen.getByLabelText<HTMLInputElement>('Infill share').value).toBe('20');
    type('Infill share', '35');
    type('Walls', '2.5', 1);
    fireEvent.click(screen.getByRole('radio', { name: 'Grid' }));
    await keep();
    expect(screen.getByRole('alert').textContent).toMatch('The walls must be a whole number');
    type('Walls', '4', 1);
    press('Keep');
    await waitFor(() => expect(save).toHaveBeenCalled());
    expect(saved<LayerSet>()).toEqual({ ...set, fillShare: 0.35, walls: 4, fill: 'grid' });
  });

  test('what a plastic costs is kept, and it can be put away', async () => {
    const filament = DEFAULT_WORKSHOP.filaments[0]!;
    render(<FilamentForm workshop={DEFAULT_WORKSHOP} filament={filament} onSave={save} onClose={close} />);
    type('Price of a kg', '27,50');
    await keep();
    expect(saved<Filament>()).toEqual({ ...filament, pricePerKg: 27.5 });
    save.mockReset();
    press('Put it away');
    expect(saved<Filament>().removed).toBe(true);
  });

  test('what nobody knows of a material stays empty; what is typed for it is held to its bounds', async () => {
    const brass = DEFAULT_WORKSHOP.materials.find(({ id }) => id === 'brass')!;
    render(<MaterialForm material={brass} onSave={save} onClose={close} />);
    expect(screen.getByLabelText<HTMLInputElement>('Softens at').value).toBe('');
    expect(screen.getByLabelText<HTMLInputElement>('Stiffness').value).toBe('97');
    type('Stiffness', '0');
    await keep();
    expect(screen.getByRole('alert').textContent).toMatch(/The stiffness must be between 0.001 and 500/);
    type('Stiffness', '100,5');
    type('Notes', 'Rings when it is struck');
    press('Keep');
    await waitFor(() => expect(save).toHaveBeenCalled());
    expect(saved<Material>()).toEqual({ ...brass, modulusMpa: 100_500, notes: 'Rings when it is struck' });
    save.mockReset();
    cleanup();
    const petg = DEFAULT_WORKSHOP.materials.find(({ id }) => id === 'petg')!;
    render(<MaterialForm material={petg} onSave={save} onClose={close} />);
    type('Softens at', '');
    await keep();
    expect(saved<Material>()).toEqual({ ...petg, softensAtC: null });
  });

  test('how a material does is shown as its kind does, and kept where it was said otherwise', async () => {
    const pla = DEFAULT_WORKSHOP.materials.find(({ id }) => id === 'pla')!;
    render(<MaterialForm material={pla} onSave={save} onClose={close} />);
    const chosen = (what: string) =>
      within(screen.getByRole('radiogroup', { name: what }))
        .getAllByRole('radio')
        .find((one) => one.getAttribute('aria-checked') === 'true')!.textContent;
    expect([chosen('In the sun'), chosen('In water'), chosen('Touching food')]).toEqual([
      'Badly',
      'Well',
      'With care',
    ]);
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'In the sun' })).getByText('With care'));
    await keep();
    expect(saved<Material>()).toEqual({ ...pla, stands: { sun: 'withCare' } });
  });

  test('what was put away is brought back under its own name, each kind', () => {
    const away = { removed: true } as const;
    const workshop: Workshop = {
      ...DEFAULT_WORKSHOP,
      machines: [
        { ...machine, ...away },
        ...DEFAULT_WORKSHOP.machines.filter(({ id }) => id === 'resin-printer'),
      ],
      layerPrinters: [{ ...printer, ...away }],
      filaments: [{ ...DEFAULT_WORKSHOP.filaments[1]!, ...away }],
      layerSets: [{ ...DEFAULT_WORKSHOP.layerSets[0]!, ...away }],
      resinPrinters: [{ ...DEFAULT_WORKSHOP.resinPrinters[0]!, ...away }],
      resins: [{ ...DEFAULT_WORKSHOP.resins[0]!, ...away }],
    };
    render(<PutAway workshop={workshop} onSave={save} />);
    const names = [
      'Bench printer',
      'how Bench printer prints layers',
      'the print settings of PLA',
      'Draft',
      'how Resin printer exposes layers',
      'how Tough resin, cured is cured',
    ];
    for (const name of names) press(`Bring back ${name}`);
    expect(save.mock.calls.map(([kind, row]: [string, { removed: boolean }]) => [kind, row.removed])).toEqual(
      [
        ['machine', false],
        ['layerPrinter', false],
        ['filament', false],
        ['layerSet', false],
        ['resinPrinter', false],
        ['resin', false],
      ],
    );
  });
});
