/** The staff of Larkspur Cove Boatyard. */
export const staff = [
  { name: 'Odile Farnsworth', extension: '201' },
  { name: 'Tamsin Okafor', extension: '202' },
  { name: 'Bram Lindqvist', extension: '203' },
  { name: 'Priya Castellanos', extension: '204' },
  { name: 'Wendell Achterberg', extension: '205' },
  { name: 'Juno Marchetti', extension: '206' },
  { name: 'Silas Pemberton-Roy', extension: '207' },
  { name: 'Hana Zielinska', extension: '208' },
  { name: 'Mateo O’Dowd', extension: '209' },
  { name: 'Ingrid Vasquez-Thorne', extension: '210' },
  { name: 'Cormac Adeyemi', extension: '211' },
  { name: 'Noor Haldane', extension: '212' },
  { name: 'Effie Brannigan', extension: '213' },
  { name: 'Tobias Ferreira', extension: '214' },
  { name: 'Lucienne Abara', extension: '221' },
  { name: 'Anselm Drury', extension: '222' },
  { name: 'Rosalind Achterberg', extension: '230' },
] as const;

/** Mobiles by extension: those on call are rung there when nobody answers at their desk. */
export const mobiles: Readonly<Record<string, string>> = {
  '203': '+12075550163',
  '206': '+12075550166',
  '209': '+12075550169',
  '211': '+12075550161',
};

/** Where each of the staff is written to: the first name, at the boatyard. */
export function emailOf(name: string): string {
  const first = (name.split(' ')[0] ?? '').toLowerCase();
  return `${first}@larkspurcove.example`;
}

export const contacts = [
  { name: 'Harbor master', number: '+1 207 555 0190' },
  { name: 'Tow boat', number: '+1 207 555 0191', serviceFrom: '2026-05-15', serviceUntil: '2027-09-15' },
] as const;

export const callerLists = [
  { name: 'Nuisance callers', kind: 'blocked', patterns: ['+1 207 555 0198', '+1 207 555 0199'] },
  {
    name: 'Slip holders',
    kind: 'favoured',
    patterns: ['+1 207 555 0171', '+1 207 555 0172', '+1 207 555 0173', '+1 207 555 018*'],
  },
] as const;

export type StaffName = (typeof staff)[number]['name'];

export const boxNames = ['Moorings', 'Parts', 'Yard', 'Accounts', 'Winter storage'] as const;

export type BoxName = 'Office' | (typeof boxNames)[number];
