import { takeId, type RecordedTake, type TakeId } from './take';

/** The pieces of hold music that come with the program, and how they are described to the manager. */
export const holdMusicPieces = {
  harbor: 'Harbor, calm plucked chords',
  lantern: 'Lantern, a slow waltz of bells',
  ferry: 'Ferry, a light walk for wood and bass',
} as const;

export type HoldMusicId = keyof typeof holdMusicPieces;

export const holdMusicIds = Object.keys(holdMusicPieces) as HoldMusicId[];
export const usualHoldMusic: HoldMusicId = 'harbor';

/** What is played to those who wait or are on hold: a piece that comes with the program, or a recording of one's own. */
export type HoldMusic = HoldMusicId | TakeId;

/** The place of recordings that are music. */
export const holdMusicPlace = 'music';

/** A piece as it is played, over and over. */
export type HoldPiece = HoldMusicId | { readonly audioId: string };

export function isHoldMusic(text: unknown): text is HoldMusic {
  return typeof text === 'string' && (takeId.is(text) || Object.hasOwn(holdMusicPieces, text));
}

/** The piece that is played; where a recording is gone, one that comes with the program. */
export function holdPieceOf(music: HoldMusic, takeOf: (id: TakeId) => RecordedTake | undefined): HoldPiece {
  if (!takeId.is(music)) return music;
  const take = takeOf(music);
  return take ? { audioId: take.audioId } : usualHoldMusic;
}

/** What tells pieces apart. */
export function keyOfPiece(piece: HoldPiece): string {
  return typeof piece === 'string' ? piece : piece.audioId;
}
