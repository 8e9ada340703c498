import type { Choice } from '../parts/InlineSelect';

export function asChoices(items: readonly { readonly id: string; readonly name: string }[]): readonly Choice[] {
  return items.map(({ id, name }) => ({ value: id, label: name }));
}
