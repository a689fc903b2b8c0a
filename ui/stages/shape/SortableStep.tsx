import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { createElement, type ReactNode } from 'react';

/**
 * A step that can be dragged by its number, or moved with the keys: space takes it up, the arrows move it, space lets
 * it go.
 */
export function SortableStep({ id, index, children }: { id: string; index: number; children: ReactNode }) {
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
      title: 'Drag to move',
      style: {
        width: 44,
        minHeight: 44,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'center',
        cursor: 'grab',
        // A finger on the number drags; anywhere else it scrolls the list.
        touchAction: 'none',
        font: '14px BarlowSemiCondensed_500Medium, sans-serif',
        color: '#5F665F',
        flexShrink: 0,
      },
    },
    String(index + 1),
  );
  return createElement(
    'div',
    {
      ref: setNodeRef,
      style: {
        transform: CSS.Translate.toString(transform),
        transition,
        display: 'flex',
        alignItems: 'flex-start',
        position: 'relative',
        zIndex: isDragging ? 2 : 'auto',
        background: isDragging ? '#FFFFFF' : undefined,
        boxShadow: isDragging ? '0 2px 10px rgba(0,0,0,0.18)' : undefined,
      },
    },
    handle,
    createElement('div', { style: { flex: 1, minWidth: 0 } }, children),
  );
}
