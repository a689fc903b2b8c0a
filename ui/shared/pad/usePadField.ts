import { useEffect, useId, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { TextInput } from 'react-native';

import { isSlider } from './keepsFocus';
import { typedAfter, withInserted, type PadQuantity, type Typed } from './keys';
import { usePadHost, type PadTarget } from './PadHost';
import type { TagKey } from './PadKeys';

/** What a field for a number tells the pad. */
export interface PadOfField {
  quantity: PadQuantity;
  tags?: readonly TagKey[];
  /** Words on its button; left out, it goes on to the next field. */
  action?: string;
  /** A formula may be typed: functions stand among the keys, and the device's keyboard can be called for words. */
  isFormula?: boolean;
  /** What its button does; what Enter does, if left out. */
  act?(): void;
  /** A second key: takes the number and goes on to another one. */
  then?: { label: string; name: string; act(): void } | undefined;
}

const NO_TAGS: readonly TagKey[] = [];
const NO_FUNCTIONS: readonly string[] = [];
/** Those that a repairer needs; the rest are typed. */
const FUNCTIONS = ['sqrt', 'sin', 'cos', 'tan', 'atan'] as const;

/** Above a field and below it, as CSS says it. */
const FRAME_AND_NAME = '30px 0 14px';

/** A web page's own element of a field. */
type Input = HTMLInputElement | null;

/**
 * Lets the pad type into a field while it has the focus.
 *
 * @returns what the field is given: nothing where it is for words, or where there is no pad.
 */
export function usePadField(
  field: RefObject<TextInput | null>,
  pad: PadOfField | undefined,
  typed: {
    value: string;
    onChangeText: ((text: string) => void) | undefined;
    onSubmit: (() => void) | undefined;
  },
) {
  const { value } = typed;
  const id = useId();
  const host = usePadHost();
  const caret = useRef<number | null>(null);
  const [hasLetters, setHasLetters] = useState(false);
  const isChanging = useRef(false);
  // Keys come faster than the screen is drawn.
  const latest = useRef({ ...typed, act: pad?.act, then: pad?.then, text: value });
  latest.current = { ...typed, act: pad?.act, then: pad?.then, text: value };
  const element = () => field.current as unknown as Input;

  useLayoutEffect(() => {
    if (caret.current === null) return;
    element()?.setSelectionRange?.(caret.current, caret.current);
    caret.current = null;
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the caret is put back after each change
  }, [value]);

  const change = (by: (typed: Typed) => Typed) => {
    const { text } = latest.current;
    const input = element();
    const isShown = input !== null && input.value === text && caret.current === null;
    const end = caret.current ?? text.length;
    const from = isShown ? (input.selectionStart ?? end) : end;
    const to = isShown ? (input.selectionEnd ?? end) : end;
    const next = by({ text, from, to });
    // What changes nothing draws nothing: the caret stays where a person puts it.
    if (next.text === text) return;
    caret.current = next.from;
    latest.current.text = next.text;
    latest.current.onChangeText?.(next.text);
  };
  const target: PadTarget | null = pad
    ? {
        id,
        quantity: pad.quantity,
        tags: pad.tags ?? NO_TAGS,
        action: pad.action ?? 'Next',
        press: (key) => change((typed) => typedAfter(typed, key)),
        insert: (words) => change((typed) => withInserted(typed, words)),
        functions: pad.isFormula ? FUNCTIONS : NO_FUNCTIONS,
        then: pad.then && { ...pad.then, act: () => latest.current.then?.act() },
        letters: pad.isFormula ? () => setHasLetters(true) : undefined,
        act: () => {
          const act = latest.current.act ?? latest.current.onSubmit;
          if (act) act();
          else goOn(element());
        },
      }
    : null;
  // The device's own keyboard comes when a field is entered, so it is left and entered anew.
  useEffect(() => {
    if (!hasLetters) return;
    const input = element();
    isChanging.current = true;
    input?.blur();
    input?.focus();
    isChanging.current = false;
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [hasLetters]);
  const isShown = host.shown === id;
  // What the keys are for may change while they are shown: another unit, another size that is known.
  const told =
    pad &&
    `${pad.quantity} ${pad.action ?? ''} ${pad.then?.label ?? ''} ${(pad.tags ?? NO_TAGS).map(({ spoken }) => spoken).join()}`;
  useEffect(() => {
    if (isShown && target) host.take?.(target);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the rest is looked up when a key is pressed
  }, [told]);
  const { leave } = host;
  useEffect(() => () => leave(id), [leave, id]);
  useEffect(() => {
    // The pad has taken room: what is typed into comes into view.
    const input = element();
    if (!isShown || !input) return;
    // With its name above it and its frame below.
    input.style.scrollMargin = FRAME_AND_NAME;
    input.scrollIntoView?.({ block: 'nearest' });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [isShown]);

  if (!target || !host.take) return null;
  return {
    inputMode: hasLetters ? ('text' as const) : ('none' as const),
    onFocus: () => {
      if (!hasLetters) host.take?.(target);
    },
    onBlur: ({ nativeEvent }: { nativeEvent: object }) => {
      // The slider beside it moves this very number.
      if ('relatedTarget' in nativeEvent && isSlider(nativeEvent.relatedTarget)) return;
      leave(id);
      // The next time our own keys are there again.
      if (hasLetters && !isChanging.current) setHasLetters(false);
    },
  };
}

/** To the next field of the same sheet or screen; after the last one the pad goes. */
function goOn(input: Input): void {
  if (!input) return;
  const place = input.closest('[role="dialog"], [role="main"]') ?? document.body;
  const fields = [...place.querySelectorAll<HTMLInputElement>('input, textarea')].filter(
    ({ disabled }) => !disabled,
  );
  const next = fields[fields.indexOf(input) + 1];
  if (next) next.focus();
  else input.blur();
}
