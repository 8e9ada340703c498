/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { usualOutgoing, type OutgoingLimits } from '@locutor/core/directory';
import { useState } from 'react';
import { show } from '../../testing/inApp';
import { OutgoingCalls } from './OutgoingCalls';

jest.mock('../../parts/useCountry', () => ({ useCountry: () => 'IE' }));

const changed = jest.fn<void, [OutgoingLimits]>();
const last = (): OutgoingLimits | undefined => changed.mock.lastCall?.[0];

function Edited({ from }: { readonly from: OutgoingLimits }) {
  const [now, setNow] = useState(from);
  const change = (limits: OutgoingLimits): void => {
    changed(limits);
    setNow(limits);
  };
  return <OutgoingCalls limits={now} onChange={change} />;
}

const choose = (label: string, value: string): void => {
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
};

describe('what outside numbers may be called', () => {
  it('is chosen by kind', () => {
    show(<Edited from={usualOutgoing} />);
    fireEvent.click(screen.getByLabelText('Satellite phones and international networks'));
    fireEvent.click(screen.getByLabelText('Shared cost numbers'));
    expect(last()?.kinds).toEqual(['satellite']);
    fireEvent.click(screen.getByLabelText('Satellite phones and international networks'));
    expect(last()?.kinds).toEqual([]);
  });

  it('is chosen by country, beginning with one’s own', () => {
    show(<Edited from={usualOutgoing} />);
    choose('Countries that may be called', 'some');
    expect(last()?.countries).toEqual(['IE']);
    choose('Country to add', 'GB');
    expect(last()?.countries).toEqual(['IE', 'GB']);
    fireEvent.click(screen.getByRole('button', { name: 'Leave out Ireland' }));
    fireEvent.click(screen.getByRole('button', { name: 'Leave out United Kingdom' }));
    expect(screen.getByText('None yet: no outside number is called.')).toBeTruthy();
    choose('Countries that may be called', 'all');
    expect(last()?.countries).toBeNull();
  });
});
