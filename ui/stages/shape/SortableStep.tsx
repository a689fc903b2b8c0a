import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { createElement, type ReactNode } from 'react';

import { colours } from '../../theme/colours';

/**
 * A step that can be dragged by its number, or moved by one place with the arrow keys while its number has the focus.
 */
export function SortableStep({
  id,
  index,
  isAtHand,
  onMove,
  onChoose,
  children,
}: {
  id: string;
  index: number;
  /** It is worked on: marked, and its sizes are those on the picture. */
  isAtHand: boolean;
  onMove(by: -1 | 1): void;
  /** Something of it was tapped. */
  onChoose(): void;
  children: ReactNode;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id });
  const handle = createElement(
    'div',
    {
      ...attributes,
      ...listeners,
      ref: setActivatorNodeRef,
      'aria-label': `Move step ${index + 1}`,
      'aria-roledescription': 'step that can be moved',
      title: 'Drag to move, or use the arrow keys',
      onKeyDown: (event: { key: string; preventDefault(): void }) => {
        if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
        event.preventDefault();
        onMove(event.key === 'ArrowUp' ? -1 : 1);
      },
      style: {
        width: 44,
        minHeight: 44,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        cursor: 'grab',
        // A finger on the number drags; anywhere else it scrolls the list.
        touchAction: 'none',
        font: 'calc(14px * var(--type)) BarlowSemiCondensed_500Medium, sans-serif',
        color: colours.muted,
        flexShrink: 0,
      },
    },
    String(index + 1),
  );
  return createElement(
    'div',
    {
      ref: setNodeRef,
      role: 'listitem',
      'aria-current': isAtHand ? 'step' : undefined,
      // Before what is tapped takes it for itself.
      onClickCapture: onChoose,
      style: {
        transform: CSS.Translate.toString(transform),
        transition,
        display: 'flex',
        alignItems: 'flex-start',
        position: 'relative',
        zIndex: isDragging ? 2 : 'auto',
        background: isDragging ? colours.card : undefined,
        boxShadow: isDragging
          ? '0 2px 10px rgba(0,0,0,0.18)'
          : isAtHand
            ? `inset 3px 0 0 ${colours.green.DEFAULT}`
            : undefined,
      },
    },
    handle,
    createElement('div', { style: { flex: 1, minWidth: 0 } }, children),
  );
}
