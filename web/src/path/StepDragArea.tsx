import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type CollisionDetection,
  type DragEndEvent,
} from '@dnd-kit/core';
import { pathAt, slotKey, type Key, type SheetId, type Slot } from '@locutor/core/line';
import type { ReactNode } from 'react';
import { useDraftTools } from '../draft/DraftProvider';
import { stepToOtherPath, withStepMoved } from './pathChanges';

/** What is dragged, and what it can be dropped on. */
export type Dragged =
  | { readonly type: 'step'; readonly slot: Slot; readonly index: number }
  | { readonly type: 'option'; readonly sheetId: SheetId; readonly key: Key; readonly index: number };

/** Steps are dropped on steps and on paths, options on options. */
const sameKind: CollisionDetection = (args) =>
  closestCenter({
    ...args,
    droppableContainers: args.droppableContainers.filter(
      ({ data }) => data.current?.type === args.active.data.current?.type,
    ),
  });

const silent: Announcements = {
  onDragStart: () => undefined,
  onDragOver: () => undefined,
  onDragEnd: ({ over }) => (over ? 'Moved.' : 'Left where it was.'),
  onDragCancel: () => 'Left where it was.',
};

// What the drag area is given stays the same from render to render; otherwise everything in it would render too.
/** A short pull is a click on the handle, which opens its menu. Keys move steps without dragging. */
const pull = { activationConstraint: { distance: 6 } };
const accessibility = {
  announcements: silent,
  screenReaderInstructions: { draggable: 'Opens what can be done with it; Alt and the arrow keys move it.' },
};

/** Lets steps be dragged within a path and from one path to another, and options within a menu. */
export function StepDragArea({ children }: { readonly children: ReactNode }) {
  const { store, edit } = useDraftTools();
  const sensors = useSensors(useSensor(PointerSensor, pull));
  const drop = ({ active, over }: DragEndEvent): void => {
    const from = active.data.current as Dragged | undefined;
    const to = over?.data.current as Dragged | undefined;
    if (!from || !to) return;
    if (from.type === 'option') {
      if (to.type !== 'option' || to.sheetId !== from.sheetId || to.key === from.key) return;
      return edit({ type: 'reorderKey', sheetId: from.sheetId, key: from.key, toIndex: to.index });
    }
    if (to.type !== 'step') return;
    const attendant = store.getSnapshot().history.present;
    const path = pathAt(attendant, from.slot) ?? [];
    if (slotKey(from.slot) === slotKey(to.slot)) {
      const moved = withStepMoved(path, from.index, Math.min(to.index, path.length - 1));
      if (moved !== path) edit({ type: 'setPath', slot: from.slot, path: moved });
      return;
    }
    const other = { slot: to.slot, path: pathAt(attendant, to.slot) ?? [], index: to.index };
    const change = stepToOtherPath({ ...from, path }, other, 'move a step to another path');
    if (change) edit(change);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={sameKind} onDragEnd={drop} accessibility={accessibility}>
      {children}
    </DndContext>
  );
}
