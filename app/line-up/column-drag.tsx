import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  type KeyboardCoordinateGetter,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { type CSSProperties, type ReactNode, useMemo } from 'react';
import { withMoved } from '#core/comparison/arrangement';
import type { LineUpColumn } from '#core/comparison/line-up';
import { useEdits } from '../workbench/use-edits';
import { columnDrag as words } from './words/column-drag';

const SENSORS = {
  /** A click stays a click until the mouse has gone so many pixels. */
  mouse: { activationConstraint: { distance: 6 } },
  /** A finger scrolls the table unless it rests for so many milliseconds. */
  touch: { activationConstraint: { delay: 250, tolerance: 6 } },
};

const HOW_TO = {
  draggable: words.pressSpaceToLift,
};

/** Lets columns be moved by mouse, by finger and by keyboard; `columns` as they stand now. */
export function ColumnDrag({ columns, children }: { columns: readonly LineUpColumn[]; children: ReactNode }) {
  const edits = useEdits();
  const sensors = useSensors(
    useSensor(MouseSensor, SENSORS.mouse),
    useSensor(TouchSensor, SENSORS.touch),
    useSensor(KeyboardSensor, { coordinateGetter: toNextColumn }),
  );
  const announcements = useMemo(() => announced(columns), [columns]);
  const drop = ({ active, over }: DragEndEvent) => {
    const shown = columns.map(({ id }) => id);
    const [from, to] = [shown.indexOf(String(active.id)), shown.indexOf(String(over?.id))];
    const moved = columns[from];
    if (!moved || to < 0 || to === from) return;
    edits.decision('lineUp.order', words.moved(moved.label), (one) => withMoved(one, shown, moved.id, to - from));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ announcements, screenReaderInstructions: HOW_TO }}
      onDragEnd={drop}
    >
      {children}
    </DndContext>
  );
}

/** What a column's head needs to be moved: where it is dragged, what lifts it by keyboard, and how it looks meanwhile. */
export function useColumnDrag(id: string) {
  const drag = useDraggable({ id });
  const place = useDroppable({ id });
  const { transform, isDragging } = drag;
  const lifted: CSSProperties = transform ? { transform: `translateX(${transform.x}px)`, zIndex: 3 } : {};
  return {
    head: (element: HTMLElement | null) => {
      drag.setNodeRef(element);
      place.setNodeRef(element);
    },
    handle: drag.setActivatorNodeRef,
    describedBy: drag.attributes['aria-describedby'],
    listeners: drag.listeners,
    lifted,
    className: `${isDragging ? 'is-lifted' : ''} ${place.isOver && !isDragging ? 'is-dropped-on' : ''}`,
  };
}

/** An arrow key moves what is lifted by the width of a column. */
const toNextColumn: KeyboardCoordinateGetter = (event, { currentCoordinates, context: { collisionRect } }) => {
  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.code];
  if (!by || !collisionRect) return undefined;
  event.preventDefault();
  return { ...currentCoordinates, x: currentCoordinates.x + by * collisionRect.width };
};

function announced(columns: readonly LineUpColumn[]): Announcements {
  const name = (id: string | number) => columns.find((column) => column.id === id)?.label ?? '';
  const place = (id: string | number) => words.placeOf(columns.findIndex((column) => column.id === id) + 1, columns.length);
  return {
    onDragStart: ({ active }) => words.isLiftedFrom(name(active.id), place(active.id)),
    onDragOver: ({ active, over }) => (over ? words.isOver(name(active.id), place(over.id)) : undefined),
    onDragEnd: ({ active, over }) => (over ? words.nowStandsAt(name(active.id), place(over.id)) : undefined),
    onDragCancel: ({ active }) => words.staysAt(name(active.id), place(active.id)),
  };
}
