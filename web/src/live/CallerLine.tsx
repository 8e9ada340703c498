import { Text } from '@chakra-ui/react';
import { showPhoneNumber, type PersonId } from '@locutor/core/directory';
import type { SeenCall } from '@locutor/core/exchange';
import type { Names } from '@locutor/core/line';

interface Props {
  readonly call: SeenCall;
  /** The group or queue they come by. */
  readonly of?: string | null;
  /** Whose phone shows it. */
  readonly personId: PersonId;
  readonly names: Names;
}

/** Who calls, and by which group, menu and key they came. */
export function CallerLine({ call, of = null, personId, names }: Props) {
  const by = call.cameBy;
  const sent = call.transfer;
  const ways = [
    of ? names[of] : undefined,
    by ? `${names[by.sheetId] ?? 'a menu'}${by.key ? `, key ${by.key}` : ''}` : undefined,
  ].filter((each) => each !== undefined);
  return (
    <>
      <Text fontWeight="600">{callerName(call, names)}</Text>
      {sent && (
        <Text fontSize="13px" fontWeight="500">
          {sent.by === personId
            ? `Comes back: ${sentTo(sent.to, names)} did not answer`
            : `Transferred by ${names[sent.by] ?? 'a colleague'}`}
        </Text>
      )}
      {ways.length > 0 && (
        <Text fontSize="13px" color="quiet">
          {ways.join(' · ')}
        </Text>
      )}
    </>
  );
}

function sentTo(to: NonNullable<SeenCall['transfer']>['to'], names: Names): string {
  const id = to.type === 'person' ? to.personId : to.type === 'group' ? to.groupId : to.queueId;
  return names[id] ?? 'somebody deleted';
}

/** A colleague by name, or the number as it is shown. */
export function callerName(
  { callerNumber, staffCaller }: Pick<SeenCall, 'callerNumber' | 'staffCaller'>,
  names: Names,
): string {
  if (staffCaller) return names[staffCaller] ?? 'A colleague';
  return callerNumber.startsWith('+') ? showPhoneNumber(callerNumber) : 'Number not shown';
}
