/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { show as showInApp } from '../testing/inApp';
import { MomentField } from './MomentField';

let taken: string[] = [];

function Held({ first }: { readonly first: string }) {
  const [value, setValue] = useState(first);
  return (
    <>
      <MomentField
        label="When"
        value={value}
        onChange={(next) => {
          taken.push(next);
          setValue(next);
        }}
      />
      <button onClick={() => setValue('')}>Now</button>
    </>
  );
}

const show = (first = ''): void => {
  taken = [];
  showInApp(<Held first={first} />);
};
const date = () => screen.getByLabelText('When: date');
const time = () => screen.getByLabelText('When: time');
const type = (field: HTMLElement, text: string): void => {
  fireEvent.change(field, { target: { value: text } });
  fireEvent.blur(field);
};

describe('a moment', () => {
  it('is one once there are a day and a time, in whichever order', () => {
    show();
    type(date(), '2026-11-23');
    expect(taken.at(-1)).toBe('');
    type(time(), '5:30 pm');
    expect(taken.at(-1)).toBe('2026-11-23T17:30');
    expect(screen.getByText(/Monday/)).toBeTruthy();
  });

  it('is shown as it is, changed in each part, and none without one of them', () => {
    show('2026-11-23T08:00');
    type(time(), '17');
    expect(taken.at(-1)).toBe('2026-11-23T17:00');
    type(time(), '');
    expect(taken.at(-1)).toBe('');
    type(time(), '9');
    expect(taken.at(-1)).toBe('2026-11-23T09:00');
  });

  it('keeps to what was there when what is typed is no time', () => {
    show('2026-11-23T08:00');
    fireEvent.change(time(), { target: { value: 'soon' } });
    expect(time().getAttribute('aria-invalid')).toBe('true');
    fireEvent.blur(time());
    expect(taken).toEqual([]);
    expect(time()).toHaveProperty('value', expect.stringContaining('8'));
  });

  it('is empty once it is none', () => {
    show();
    type(date(), '2026-11-23');
    type(time(), '10');
    fireEvent.click(screen.getByText('Now'));
    expect(date()).toHaveProperty('value', '');
    expect(time()).toHaveProperty('value', '');
  });
});
