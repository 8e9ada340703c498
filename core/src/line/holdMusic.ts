/** The pieces of hold music that come with the program, and how they are described to the manager. */
export const holdMusicPieces = {
  harbor: 'Harbor, calm plucked chords',
  lantern: 'Lantern, a slow waltz of bells',
  ferry: 'Ferry, a light walk for wood and bass',
} as const;

export type HoldMusicId = keyof typeof holdMusicPieces;

export const holdMusicIds = Object.keys(holdMusicPieces) as HoldMusicId[];
export const usualHoldMusic: HoldMusicId = 'harbor';
