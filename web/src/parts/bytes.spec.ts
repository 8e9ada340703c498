import { showBytes } from './bytes';

it.each([
  [0, '0 bytes'],
  [1, '1 byte'],
  [58, '58 bytes'],
  [999_499, '999 kB'],
  [312_400_000, '312 MB'],
  [1_440_000_000, '1.44 GB'],
  [20e12, '20 TB'],
])('shows %d bytes as %s', (bytes, text) => {
  expect(showBytes(bytes)).toBe(text);
});
