/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { TakeVerdict } from '@locutor/core/line';
import { FakeServer } from '../testing/fakeServer';
import { show } from '../testing/inApp';
import { TakeSaysNote } from './TakeSaysNote';
import type { KeptTake } from './useTakes';

const path = '/api/takes/take:one';
let server: FakeServer;
beforeEach(() => {
  server = new FakeServer().on('PATCH', path, { body: {} }).on('GET', '/api/takes', { body: [] });
});

const onRecord = jest.fn();
const onVoice = jest.fn();

function note(verdict: TakeVerdict | null): string {
  const take = {
    ...{ id: 'take:one', text: '', verdict },
    says: { words: 'The fuel dock opens at nine.', options: [], live: [] },
  } as unknown as KeptTake;
  return show(<TakeSaysNote take={take} onRecord={onRecord} onVoice={onVoice} />).container.textContent ?? '';
}

const other: TakeVerdict = {
  ...{ type: 'other', by: 'listening' },
  parts: [
    { text: 'The fuel dock opens at', insteadOf: null },
    { text: 'ten', insteadOf: 'nine' },
    { text: '', insteadOf: 'Please come by.' },
  ],
};

describe('what is known of what a recording says', () => {
  it('is being found out until somebody has listened', () => {
    expect(note(null)).toContain('It is being listened to');
  });

  it('is told as what was heard and what should have been, and leads to a better one', () => {
    const text = note(other);
    expect(text).toContain('The fuel dock opens at ten (instead of “nine”) nothing (instead of “Please come by.”)');
    fireEvent.click(screen.getByRole('button', { name: 'Record again' }));
    fireEvent.click(screen.getByRole('button', { name: 'Use the voice until then' }));
    expect([onRecord.mock.calls.length, onVoice.mock.calls.length]).toEqual([1, 1]);
  });

  it.each([
    ['language', 'Only English can be listened to'],
    ['noRecogniser', 'No speech recogniser is installed'],
    ['unclear', 'not understood well enough'],
  ] as const)('is asked for where it is not known: %s', async (why, says) => {
    const text = note({ type: 'unknown', why });
    expect(text).toContain(says);
    expect(text).toContain('The fuel dock opens at nine.');
    fireEvent.click(screen.getByRole('button', { name: 'It says these words' }));
    await waitFor(() => expect(server.changes).toHaveLength(1));
    expect(server.changes[0]).toMatchObject({
      method: 'PATCH',
      path,
      body: { answer: 'The fuel dock opens at nine.' },
    });
  });

  it('can be contradicted where it was taken to be right', async () => {
    note({ type: 'right', by: 'listening' });
    fireEvent.click(screen.getByRole('button', { name: 'It says something else' }));
    const field = screen.getByLabelText('Type what it says, word for word');
    fireEvent.change(field, { target: { value: 'The fuel dock opens at ten.' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(server.changes[0]?.body).toEqual({ answer: 'The fuel dock opens at ten.' }));
  });
});
