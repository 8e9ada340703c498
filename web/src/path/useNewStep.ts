import { boxId, contactId, groupId, personId, queueId } from '@locutor/core/directory';
import {
  defaultRingSeconds,
  lineId,
  messageDefaults,
  namedPathId,
  ringDefaults,
  sheetId,
  type Outside,
  type Step,
  type StepType,
} from '@locutor/core/line';
import { useBoxes, useContacts, useGroups, useLines, usePeople, useQueues } from '../api/resources';
import { useDraftTools } from '../draft/DraftProvider';

/** Makes a step of a type with its defaults: the first person, box or sheet there is. */
export function useNewStep(): (type: StepType) => Step {
  const { store, line } = useDraftTools();
  const [people, boxes, contacts, { data: lines = [] }] = [usePeople(), useBoxes(), useContacts(), useLines()];
  const [groups, queues] = [useGroups(), useQueues()];
  return (type) => {
    const attendant = store.getSnapshot().history.present;
    const outside: Outside = { type: 'contact', contactId: contacts[0]?.id ?? contactId.create('none') };
    switch (type) {
      case 'ring':
        return { type, personId: people[0]?.id ?? personId.create('none'), ...ringDefaults };
      case 'ringGroup':
        return { type, groupId: groups[0]?.id ?? groupId.create('none'), ...ringDefaults, seconds: null };
      case 'waitInQueue':
        return { type, queueId: queues[0]?.id ?? queueId.create('none') };
      case 'ringOutside':
        return { type, to: contacts[0] ? outside : { type: 'number', number: '' }, accept: true, ...ringDefaults };
      case 'handOver':
        return { type, to: contacts[0] ? outside : { type: 'number', number: '' }, before: '' };
      case 'toLine':
        return { type, lineId: lines.find(({ id }) => id !== line.id)?.id ?? lineId.create('none') };
      case 'say':
        return { type, spoken: { type: 'typed', words: '' } };
      case 'takeMessage':
        return { type, boxId: boxes[0]?.id ?? boxId.create('none'), ...messageDefaults };
      case 'goTo':
        return { type, sheetId: attendant.sheets[0]?.id ?? sheetId.create('none') };
      case 'followPath':
        return { type, pathId: attendant.paths[0]?.id ?? namedPathId.create('none') };
      case 'back':
      case 'sayAgain':
        return { type };
      case 'searchByName':
        return { type, by: 'lastName', seconds: defaultRingSeconds };
      case 'askExtension':
        return { type, seconds: defaultRingSeconds };
      case 'record':
        return { type, on: true, tells: true };
      case 'hangUp':
        return { type, words: 'Goodbye.' };
    }
  };
}
