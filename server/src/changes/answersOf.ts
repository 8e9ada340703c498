/**
 * What of the API answers otherwise once rows of a table changed: paths, or how they begin; `*` stands for one part of
 * them, such as the id of a line. None where nothing that windows show comes from the table.
 */
export const answersOf = {
  line: ['/api/names', '/api/uses', '/api/lines'],
  draft: ['/api/uses', '/api/lines/*/draft', '/api/lines/*/script'],
  version: ['/api/uses', '/api/lines/*/versions', '/api/lines/*/script'],
  airing: ['/api/lines/*/versions'],
  planned_airing: ['/api/lines/*/planned'],
  first_call: ['/api/lines/*/versions/*/first-calls'],
  rehearsal: ['/api/lines/*/rehearsals'],
  accepted_finding: ['/api/lines/*/proof'],
  switch: ['/api/lines/*/switch', '/api/lines/*/script'],
  hours: ['/api/names', '/api/hours', '/api/lines/*/script'],
  person: ['/api/names', '/api/uses', '/api/people', '/api/leavers', '/api/lines/*/script'],
  ring_group: ['/api/names', '/api/uses', '/api/groups', '/api/lines/*/script'],
  call_queue: ['/api/names', '/api/uses', '/api/queues', '/api/lines/*/script'],
  box: ['/api/names', '/api/uses', '/api/boxes', '/api/lines/*/script'],
  box_pin: ['/api/boxes'],
  contact: ['/api/names', '/api/contacts', '/api/lines/*/script'],
  caller_list: ['/api/names', '/api/caller-lists', '/api/lines/*/script'],
  greeting: ['/api/names', '/api/uses', '/api/greetings', '/api/lines/*/script'],
  take: ['/api/takes', '/api/greetings'],
  text_recording: ['/api/recordings', '/api/lines/*/script'],
  recording_session: ['/api/recording-sessions'],
  dictionary: ['/api/dictionary'],
  settings: ['/api/settings', '/api/lines/*/script'],
  message: ['/api/messages'],
  call: ['/api/calls'],
  outbox_item: ['/api/outbox'],
  presence: [],
  spoken_sentence: [],
} as const satisfies Readonly<Record<string, readonly string[]>>;

export type ChangedTable = keyof typeof answersOf;

export function isChangedTable(name: string): name is ChangedTable {
  return Object.hasOwn(answersOf, name);
}
