import type { Line } from '@locutor/core/line';
import { useGroups, usePeople } from '../../api/resources';
import { InlineSelect } from '../../parts/InlineSelect';

interface Props {
  readonly line: Pick<Line, 'name' | 'operatorId'>;
  readonly onChange: (operatorId: Line['operatorId']) => void;
}

/** Who operates a line: a person, a group, or nobody yet. */
export function OperatorChoice({ line: { name, operatorId }, onChange }: Props) {
  const [people, groups] = [usePeople(), useGroups()];
  return (
    <InlineSelect
      label={`Operator of the line ${name}`}
      value={operatorId ?? 'nobody'}
      choices={[
        { value: 'nobody', label: 'nobody yet' },
        ...groups.map((group) => ({ value: group.id, label: `the group ${group.name}` })),
        ...people.map((person) => ({ value: person.id, label: person.name })),
      ]}
      onChange={(value) => onChange(value === 'nobody' ? null : (value as Line['operatorId']))}
    />
  );
}
