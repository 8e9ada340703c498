/** What stands in tables of Traffic beside names and numbers, in English; `{}` is where something of it is said. */
export const tableWords = [
  ...['date', 'time', 'time zone', 'seconds', 'line', 'caller', 'menu', 'keys', 'chosen', 'until answered (s)'],
  ...['waited (s)', 'rung', 'answered by', 'outcome', 'cost', 'cost ({})', 'pretended', 'yes', 'no'],
  ...['calls', 'calls before', 'who', 'answered', 'declined', 'let ring', 'had no time to', 'talked (s)'],
  ...['on hold (s)', 'median (s)', '90% (s)', 'within {} s', 'lost', 'weekday', 'hour', 'reached somebody'],
  ...['left a message', 'wanted nobody', 'week from', 'whole week', 'sheet', 'what they did', 'callers'],
  ...['half of them by (s)', 'month', 'to the line ({})', 'to outside phones ({})', 'rents ({})', 'total ({})'],
  ...['seconds to the line', 'of them included', 'seconds to outside phones', 'key', 'key {}'],
  ...['group, queue or person', 'a deleted line', 'a deleted sheet', 'somebody deleted'],
  ...['calls in such an hour', 'taken up for (s)', 'members needed', 'members at work', 'short'],
  ...['no number is enough', 'figure', 'before', 'from', 'to', 'after', 'difference'],
  ...['reach somebody', 'of them within {} s', 'seconds until somebody answers', 'give up', 'missed'],
  ...['leave a message', 'of those in a queue within {} s', 'seconds in a queue', 'cost of the calls'],
  ...['dialed an extension or a name', 'said what they wanted', 'pressed nothing', 'pressed wrong keys'],
  ...['hung up', 'heard it', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'],
  ...['Answered', 'Handed over', 'Left a message', 'Missed', 'Gave up in a queue', 'Gave up while it rang'],
  ...['Gave up in a menu', 'Left no message', 'Heard an announcement', 'Let go', 'Heard a box'],
  ...['Recorded a greeting', 'Blocked', 'Cut off'],
] as const;
export type TableWord = (typeof tableWords)[number];
