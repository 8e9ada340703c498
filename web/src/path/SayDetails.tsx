import type { Step } from '@locutor/core/line';
import { useGreetings } from '../api/resources';
import { InlineSelect } from '../parts/InlineSelect';
import { asChoices } from './asChoices';
import type { DetailProps } from './detailProps';
import { StepWords } from './StepWords';

export function SayDetails({ step, of, onChange }: DetailProps<Extract<Step, { type: 'say' }>>) {
  const greetings = useGreetings();
  const { spoken } = step;
  const choose = (value: string): void => {
    const greeting = greetings.find(({ id }) => id === value);
    onChange({
      ...step,
      spoken: greeting ? { type: 'greeting', greetingId: greeting.id } : { type: 'typed', words: '' },
    });
  };
  return (
    <>
      <InlineSelect
        label={`Words of ${of}`}
        value={spoken.type === 'greeting' ? spoken.greetingId : 'typed'}
        choices={[{ value: 'typed', label: 'these words:' }, ...asChoices(greetings)]}
        onChange={choose}
      />{' '}
      {spoken.type === 'typed' && (
        <StepWords
          label={`Words said in ${of}`}
          placeholder="type what is said"
          value={spoken.words}
          onChange={(words) => onChange({ ...step, spoken: { type: 'typed', words } })}
        />
      )}
    </>
  );
}
