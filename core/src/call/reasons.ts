/** Why a call was over. */
export type EndReason =
  | 'callerHungUp'
  | 'staffHungUp'
  | 'hungUp'
  | 'messageTaken'
  /** Handed over to an outside number for good. */
  | 'handedOver'
  /** The caller is in a blocked list. */
  | 'blocked'
  /** The path had no further step. */
  | 'pathRanOut'
  /** The caller was sent from sheet to sheet for ever. */
  | 'circle'
  | 'longestCall'
  /** Somebody in the office had heard their messages. */
  | 'boxHeard'
  | 'wrongPin'
  /** A greeting was recorded with a desk phone, or was not kept. */
  | 'recorderDone'
  /** The line went down with the call on it. */
  | 'cut';

/** Whether a caller hears nothing more at the end: they hung up themselves, or the call goes on elsewhere. Else it is busy. */
export function endsQuietly(reason: EndReason): boolean {
  return reason === 'callerHungUp' || reason === 'handedOver';
}

/** Why somebody did not answer. */
export type NotAnswered =
  | 'noAnswer'
  | 'busy'
  /** They said that they are away. */
  | 'away'
  /** A group without members. */
  | 'nobody'
  | 'deleted'
  /** Not in the hours they keep. */
  | 'notWorking'
  /** A group outside its own hours. */
  | 'closed'
  /** Their phones ring only when they are on call. */
  | 'onCallOnly'
  /** Nobody pressed 1: the outside phone's own voicemail, most likely. */
  | 'notAccepted'
  | 'notANumber'
  /** The outside number is the line's own. */
  | 'ownNumber'
  | 'outOfService'
  /** The line may not call numbers of this kind or country. */
  | 'notAllowed'
  /** As many outside phones are on the line as may be at once. */
  | 'noLineFree'
  /** The number is given out to nobody. */
  | 'noSuchNumber'
  /** The line could not get through. */
  | 'failed';
