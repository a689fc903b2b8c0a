import { createElement } from 'react';

import { colours } from '../theme/colours';

export interface PickerOption {
  id: string;
  word: string;
  /** Heading that it stands under. */
  group?: string;
}

/** One of many, in the platform's own list: it has touch, keys and search already. */
export function Picker({
  label,
  options,
  value,
  onChange,
}: {
  label: string;
  options: readonly PickerOption[];
  value: string | null;
  onChange(value: string): void;
}) {
  const groups = [...new Set(options.map(({ group }) => group))];
  const optionOf = ({ id, word }: PickerOption) => createElement('option', { key: id, value: id }, word);
  const children = groups.map((group) => {
    const members = options.filter((option) => option.group === group).map(optionOf);
    return group === undefined
      ? members
      : createElement('optgroup', { key: group, label: group }, ...members);
  });
  return createElement(
    'select',
    {
      'aria-label': label,
      value: value ?? '',
      onChange: (event: { target: { value: string } }) => onChange(event.target.value),
      style: {
        height: 44,
        width: '100%',
        fontFamily: 'Barlow_500Medium',
        fontSize: 'calc(15px * var(--type))',
        color: colours.ink,
        backgroundColor: colours.card,
        border: `1px solid ${colours.rule}`,
        borderRadius: 5,
        padding: '0 8px',
      },
    },
    // Nothing is chosen yet: the platform would show the first as if it were.
    ...(value === null ? [createElement('option', { key: '', value: '', disabled: true }, 'Choose')] : []),
    ...children,
  );
}
