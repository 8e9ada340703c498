import { Box, Flex, Text } from '@chakra-ui/react';
import type { Menu, Names, Sheet } from '@locutor/core/line';
import {
  describePressed,
  isKeyChoice,
  said,
  saidChoice,
  type TableCell,
  type Choice,
  type SheetPresses,
} from '@locutor/core/traffic';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePressed } from '../../api/resources';
import { useLateAttendant } from '../../draft/DraftProvider';
import { useSheetNames } from '../../live/useSheetNames';
import { callsBehind, type BehindAsked } from './behind';
import { choiceWords } from './choiceWords';
import { Counting } from './Counting';
import { SaveCsv } from './SaveCsv';
import { SpanBar } from './SpanBar';
import { TrafficPage } from './TrafficPage';
import { useNamesThen } from './useNamesThen';
import { spanAsked, useSpan } from './useSpan';
import { WordsAndPresses } from './WordsAndPresses';

/** What callers press, sheet by sheet, and in which second of the words. */
export function Pressed() {
  const looked = useSpan();
  const attendant = useLateAttendant();
  const names = { ...useNamesThen(), ...useSheetNames() };
  const { data: sheets, error } = usePressed(spanAsked(looked));
  return (
    <TrafficPage
      actions={sheets && sheets.length > 0 && <SaveCsv name="pressed" rows={() => cellsOf(sheets, names)} />}
    >
      <SpanBar {...looked} />
      {error && <Text role="alert">The calls could not be counted. {String(error.message)}</Text>}
      {!sheets && !error && <Counting />}
      {sheets?.length === 0 && (
        <Text fontSize="18px">
          {looked.span.from > looked.today
            ? 'These days are still to come.'
            : 'No caller came to a menu or announcement.'}
        </Text>
      )}
      {sheets?.map((presses) => (
        <OneSheet
          key={presses.sheetId}
          presses={presses}
          sheet={attendant.sheets.find(({ id }) => id === presses.sheetId)}
          name={names[presses.sheetId] ?? 'a deleted sheet'}
          asked={spanAsked(looked)}
        />
      ))}
    </TrafficPage>
  );
}

interface OneSheetProps {
  readonly presses: SheetPresses;
  /** As the draft has it; undefined where it was deleted. */
  readonly sheet: Sheet | undefined;
  readonly name: string;
  readonly asked: BehindAsked;
}

function OneSheet({ presses, sheet, name, asked }: OneSheetProps) {
  const menu = sheet?.type === 'menu' ? sheet : null;
  const label = (key: string): string | undefined => menu?.options.find((option) => option.key === key)?.label;
  const pressed = new Set(presses.choices.map(({ choice }) => choice));
  const unused = menu ? menu.options.flatMap(({ key }) => (pressed.has(key) ? [] : [key])) : [];
  const rows = rowsOf(presses, menu);
  return (
    <Box as="section" aria-label={name} mb="9" maxW="980px">
      <Flex align="baseline" gap="3" mb="1">
        <Text asChild fontWeight="600" fontSize="17px">
          <h2>{sheet ? <Link to={`/script/${sheet.id}`}>{name}</Link> : name}</h2>
        </Text>
        <Text color="quiet" fontSize="13px">
          {presses.visits.toLocaleString()} {presses.visits === 1 ? 'visit' : 'visits'}
        </Text>
      </Flex>
      <Text fontSize="16px" mb="3" maxW="760px">
        {menu ? describePressed(presses, label, unused) : announced(presses)}
      </Text>
      <Box asChild fontSize="13px" w="100%" maxW="760px">
        <table aria-label={`What callers did in ${name}`}>
          <thead>
            <Box asChild color="quiet" textAlign="left">
              <tr>
                <Box asChild fontWeight="400" w="260px">
                  <th scope="col">What they did</th>
                </Box>
                <Box asChild fontWeight="400" textAlign="right" w="70px">
                  <th scope="col">Callers</th>
                </Box>
                <Box asChild fontWeight="400" textAlign="right" w="110px" pr="3">
                  <th scope="col">Half of them by</th>
                </Box>
                <th aria-hidden />
              </tr>
            </Box>
          </thead>
          <tbody>
            {rows.map(({ choice, visits, medianS }) => (
              <tr key={choice}>
                <Box asChild textAlign="left" fontWeight="400" py="1">
                  <th scope="row">
                    <Behind to={visits > 0 ? callsBehind({ ...asked, sheetId: presses.sheetId, choice }) : null}>
                      {isKeyChoice(choice) ? (
                        <>
                          <Text as="span" fontFamily="mono" fontWeight="600" mr="2">
                            {choice}
                          </Text>{' '}
                          {label(choice) ?? 'a key that has no use now'}
                        </>
                      ) : (
                        choiceWords(choice)
                      )}
                    </Behind>
                  </th>
                </Box>
                <Box asChild textAlign="right" fontFamily="mono">
                  <td>{visits}</td>
                </Box>
                <Box asChild textAlign="right" fontFamily="mono" pr="3">
                  <td>{medianS === null ? '–' : `${medianS} s`}</td>
                </Box>
                <td aria-hidden>
                  <Box
                    h="12px"
                    w={`${(100 * visits) / Math.max(1, presses.visits)}%`}
                    minW={visits > 0 ? '2px' : '0'}
                    bg={isKeyChoice(choice) ? 'petrol.solid' : undefined}
                    css={
                      isKeyChoice(choice)
                        ? undefined
                        : {
                            background:
                              'repeating-linear-gradient(45deg, var(--chakra-colors-petrol-emphasized) 0 3px, transparent 3px 6px)',
                          }
                    }
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      {sheet && presses.seconds.length > 0 && <WordsAndPresses sheet={sheet} presses={presses} />}
    </Box>
  );
}

/** Leads to the calls behind a row; nowhere where there are none. */
function Behind({ to, children }: { readonly to: string | null; readonly children: ReactNode }) {
  if (to === null) return children;
  return (
    <Box asChild textDecoration="underline" textDecorationColor="hairline" _hover={{ textDecorationColor: 'ink' }}>
      <Link to={to}>{children}</Link>
    </Box>
  );
}

type Row = SheetPresses['choices'][number];

/** In the order of the sheet's rows, also those that nobody pressed; then keys that have no use now; then what is no key. */
function rowsOf({ choices }: SheetPresses, menu: Menu | null): readonly Row[] {
  const of = (choice: Choice): Row =>
    choices.find((each) => each.choice === choice) ?? { choice, visits: 0, medianS: null };
  const keys = menu?.options.map(({ key }) => key) ?? [];
  const others = choices.filter(({ choice }) => !keys.some((key) => key === choice));
  return [
    ...keys.map(of),
    ...others.filter(({ choice }) => isKeyChoice(choice)),
    ...others.filter(({ choice }) => !isKeyChoice(choice)),
  ];
}

function announced({ visits, choices }: SheetPresses): string {
  const hungUp = choices.find(({ choice }) => choice === 'hungUp')?.visits ?? 0;
  return hungUp === 0
    ? 'Everybody heard it to its end.'
    : `${visits - hungUp} heard it to its end, ${hungUp} hung up in it.`;
}

function cellsOf(sheets: readonly SheetPresses[], names: Names): readonly (readonly TableCell[])[] {
  return [
    [said('sheet'), said('what they did'), said('callers'), said('half of them by (s)')],
    ...sheets.flatMap(({ sheetId, choices }) =>
      choices.map(({ choice, visits, medianS }) => [
        names[sheetId] ?? sheetId,
        saidChoice(choice),
        String(visits),
        medianS === null ? '' : String(medianS),
      ]),
    ),
  ];
}
