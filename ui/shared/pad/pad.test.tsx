import { act, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';

import { Field } from '../Field';
import { Sheet } from '../Sheet';
import { typedAfter } from './keys';

/** A phone: our own keys are there only where there is no room, or a finger. */
const phone = () => {
  Object.defineProperty(window, 'innerWidth', { value: 390, configurable: true });
  Object.defineProperty(document.documentElement, 'clientWidth', { value: 390, configurable: true });
  window.dispatchEvent(new Event('resize'));
};
beforeEach(() => {
  jest.useFakeTimers();
  act(phone);
});
afterEach(() => jest.useRealTimers());

const done = jest.fn();
function Form() {
  const [length, setLength] = useState('');
  const [name, setName] = useState('');
  const [load, setLoad] = useState('');
  return (
    <Sheet title="A form" onClose={() => {}}>
      <Field
        label="Length"
        value={length}
        onChangeText={setLength}
        pad={{
          quantity: 'length',
          tags: [{ tag: 'A', number: '38.20', spoken: 'Type A, Rim' }],
          isFormula: true,
        }}
      />
      <Field label="Name" value={name} onChangeText={setName} />
      <Field
        label="Load"
        value={load}
        onChangeText={setLoad}
        pad={{ quantity: 'plain', action: 'Keep' }}
        onSubmitEditing={done}
      />
    </Sheet>
  );
}
const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);
const enter = (label: string) => act(() => field(label).focus());
/** By what is read out; looked up without the roles of all keys, which takes seconds. */
const button = (name: string) =>
  [...document.querySelectorAll('button')].find(
    (one) => (one.getAttribute('aria-label') ?? one.textContent) === name,
  );
const press = (...names: string[]) => names.forEach((name) => fireEvent.click(button(name)!));
const pad = () => screen.queryByRole('group', { name: 'Number pad' });

test('keys type into the field that is entered: figures, tags, halves, units', () => {
  render(<Form />);
  expect(pad()).toBeNull();
  enter('Length');
  expect(field('Length').getAttribute('inputmode')).toBe('none');
  press('Type A, Rim', 'halve', 'plus', '3', 'point', '5');
  expect(field('Length').value).toBe('A/2+3.5');
  press('Delete', 'Delete', 'inch');
  expect(field('Length').value).toBe('A/2+3 in');
  press('sqrt');
  expect(field('Length').value).toBe('A/2+3 insqrt(');
});

test('a key goes where the caret is, and takes the place of what is chosen', () => {
  render(<Form />);
  enter('Length');
  press('1', '2', '3');
  field('Length').setSelectionRange(1, 2);
  press('9');
  expect(field('Length').value).toBe('193');
  press('8');
  expect(field('Length').value).toBe('1983');
});

test('a key that changes nothing leaves the caret to the person', () => {
  render(<Form />);
  enter('Length');
  press('1', '2', '3');
  field('Length').setSelectionRange(0, 0);
  press('Delete');
  expect(field('Length').value).toBe('123');
  field('Length').setSelectionRange(3, 3);
  press('4');
  expect(field('Length').value).toBe('1234');
});

test('the pad goes with its field, stays for the next number, and is not there for words', () => {
  render(<Form />);
  enter('Length');
  press('1');
  enter('Load');
  act(() => jest.advanceTimersByTime(1000));
  expect(pad()).not.toBeNull();
  press('4', 'Keep');
  expect(field('Load').value).toBe('4');
  expect(field('Length').value).toBe('1');
  expect(done).toHaveBeenCalledTimes(1);
  // A number without a unit is no sum either.
  expect(button('halve')).toBeUndefined();
  enter('Name');
  act(() => jest.advanceTimersByTime(1000));
  expect(pad()).toBeNull();
});

test('it stays in view for a moment, so that a button that is tapped does not move away', () => {
  render(<Form />);
  enter('Length');
  act(() => field('Length').blur());
  act(() => jest.advanceTimersByTime(100));
  expect(pad()).not.toBeNull();
  act(() => jest.advanceTimersByTime(1000));
  expect(pad()).toBeNull();
});

test('Next goes to the next field, words too; letters call the device’s own keyboard until the field is left', () => {
  render(<Form />);
  enter('Length');
  press('Letters');
  expect(field('Length').getAttribute('inputmode')).toBe('text');
  expect(document.activeElement).toBe(field('Length'));
  enter('Load');
  enter('Length');
  expect(field('Length').getAttribute('inputmode')).toBe('none');
  press('Next');
  expect(document.activeElement).toBe(field('Name'));
});

test('a unit takes the place of another, and goes when it is pressed again', () => {
  const at = (text: string) => ({ text, from: text.length, to: text.length });
  expect(typedAfter(at('5'), 'in').text).toBe('5 in');
  expect(typedAfter(at('5 in'), 'cm').text).toBe('5 cm');
  expect(typedAfter(at('5 cm'), 'cm').text).toBe('5');
  expect(typedAfter(at(''), 'mm').text).toBe('');
  expect(typedAfter(at('22.5'), '°').text).toBe('22.5°');
});
