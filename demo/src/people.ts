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

export type StaffName = (typeof staff)[number]['name'];

export const boxNames = ['Moorings', 'Parts', 'Yard', 'Accounts', 'Winter storage'] as const;

export type BoxName = 'Office' | (typeof boxNames)[number];
