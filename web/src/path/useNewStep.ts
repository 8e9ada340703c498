import { newStep, pathAt, pathsOf, sheetOfSlot, type Slot, type Step, type StepType } from '@locutor/core/line';
import { useBoxes, useContacts, useGroups, useLines, useQueues } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';

/** Makes a step of a type for a place of the script; `instead` is the step that it takes the place of. */
export function useNewStep(slot: Slot): (type: StepType, instead?: Step) => Step {
  const { store, line } = useDraftTools();
  const [boxes, contacts, { data: lines = [] }] = [useBoxes(), useContacts(), useLines()];
  const [groups, queues] = [useGroups(), useQueues()];
  return (type, instead) => {
    const attendant = store.getSnapshot().history.present;
    const paths = pathsOf(attendant);
    const sheet = sheetOfSlot(slot);
    const onSheet = paths.filter((each) => sheet !== undefined && sheetOfSlot(each.slot) === sheet);
    const near = [pathAt(attendant, slot) ?? [], ...onSheet.map(({ path }) => path), ...paths.map(({ path }) => path)];
    return newStep(type, {
      instead: instead ?? null,
      near: near.flat(),
      there: {
        groups: idsOf(groups),
        queues: idsOf(queues),
        boxes: idsOf(boxes),
        contacts: idsOf(contacts),
        lines: idsOf(lines).filter((id) => id !== line.id),
        sheets: idsOf(attendant.sheets).filter((id) => id !== sheet),
        paths: idsOf(attendant.paths),
      },
    });
  };
}

function idsOf<Kind extends string>(items: readonly { readonly id: Kind }[]): readonly Kind[] {
  return items.map(({ id }) => id);
}
