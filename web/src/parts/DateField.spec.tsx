/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { show } from '../testing/inApp';
import { DateField } from './DateField';

const changed = jest.fn();
const field = (value: string, more: { readonly canBeNone?: boolean } = {}) => {
  show(<DateField label="First day" value={value} onChange={changed} {...more} />);
  return screen.getByLabelText<HTMLInputElement>('First day');
};
const type = (input: HTMLInputElement, text: string) => fireEvent.change(input, { target: { value: text } });

beforeEach(() => changed.mockReset());

describe('a field for a day', () => {
  it('shows it in the user’s own format, and in words', () => {
    expect(field('2027-01-04').value).toBe('1/4/2027');
    expect(screen.getByText('Monday, January 4, 2027')).toBeTruthy();
  });

  it('tells what was typed once it is left or entered, and not before', () => {
    const input = field('2027-01-04');
    type(input, '5 Feb 2028');
    expect(changed).not.toHaveBeenCalled();
    fireEvent.blur(input);
    expect(changed).toHaveBeenCalledWith('2028-02-05');
    type(input, '3/1/2028');
    fireEvent.keyDown(input, { key: 'Enter' });
    expect(changed).toHaveBeenLastCalledWith('2028-03-01');
  });

  it('says what is no day, keeps what was typed, and goes back with Escape', () => {
    const input = field('2027-01-04');
    type(input, '30 Feb 2027');
    fireEvent.blur(input);
    expect(screen.getByRole('alert').textContent).toBe('That is no day. Type it as 12/24/2027.');
    expect([input.value, input.getAttribute('aria-invalid')]).toEqual(['30 Feb 2027', 'true']);
    fireEvent.keyDown(input, { key: 'Escape' });
    expect(input.value).toBe('1/4/2027');
    expect(changed).not.toHaveBeenCalled();
  });

  it('can be emptied only where there may be none', () => {
    const must = field('2027-01-04');
    type(must, '');
    fireEvent.blur(must);
    expect(changed).not.toHaveBeenCalled();
  });

  it('is emptied for always', () => {
    const may = field('2027-01-04', { canBeNone: true });
    type(may, ' ');
    fireEvent.blur(may);
    expect(changed).toHaveBeenCalledWith('');
  });
});
