import { Box, Button, Text } from '@chakra-ui/react';
import {
  isKey,
  menuLimits,
  type Attendant,
  type Menu,
  type MenuSettings,
  type VoiceId,
  type WordsPart,
} from '@locutor/core/line';
import type { Finding } from '@locutor/core/proof';
import { sheetSentences } from '@locutor/core/speech';
import { ChartBar, Plus } from 'lucide-react';
import { memo, useEffect } from 'react';
import { useSearchParams } from 'react-router';
import { useAttendantPart, useDraftTools } from '../../draft/DraftProvider';
import { InlineNumber } from '../../parts/InlineNumber';
import { InlineSelect } from '../../parts/InlineSelect';
import { isTyping } from '../../parts/isTyping';
import { Listen } from '../../parts/Listen';
import { PathSentence } from '../../path/PathSentence';
import { useSpokenFacts } from '../../speech/useSpokenFacts';
import { SpokenField } from '../../parts/SpokenField';
import { goToKey } from './goToKey';
import { KeyRow } from './KeyRow';
import { MenuAdvice } from './MenuAdvice';
import { isAtSlot } from './findingSheet';
import { Noted, WithNotes } from './MarginNotes';
import { Fallback } from './Fallback';
import { MenuExtras } from './MenuExtras';
import { nextFreeKey } from './nextFreeKey';
import { ReadOutLength } from './ReadOutLength';
import { SheetName } from './SheetName';
import { SheetVoice } from './SheetVoice';
import { useRecentPresses } from '../../api/useRecentPresses';
import { useCallsShown } from './useCallsShown';
import { useAddKey } from './useAddKey';
import { useKeyDown } from '../../parts/useKeyDown';

/**
 * A menu in the order a caller meets it: opening words, a row per key, closing words, and what if not. Of two side by
 * side only one listens to the digits that lead to a key.
 */
export function MenuSheet({ menu, listens = true }: { readonly menu: Menu; readonly listens?: boolean }) {
  const { edit } = useDraftTools();
  const voice = useAttendantPart(voiceOf);
  const addKey = useAddKey(menu.id);
  const free = nextFreeKey(menu);
  useKeyJumps(menu, listens);
  const [isShown, setShown] = useCallsShown();
  const presses = useRecentPresses(isShown)?.find(({ sheetId }) => sheetId === menu.id);
  const callsOf = (key: string): number | undefined =>
    isShown && presses ? (presses.choices.find(({ choice }) => choice === key)?.visits ?? 0) : undefined;
  const facts = useSpokenFacts();
  const sentences = sheetSentences(menu, voice, facts);
  const setWords = (part: WordsPart) => (words: string) => edit({ type: 'setWords', sheetId: menu.id, part, words });
  const isOnSheet = ({ at }: Finding): boolean => at.type === 'sheet' && at.sheetId === menu.id;
  return (
    <WithNotes>
      <Box px="6" pb="10" maxW="1020px">
        <SheetName sheet={menu}>
          <CallsSwitch isShown={isShown} visits={presses?.visits} onChange={setShown} />
          <ReadOutLength sentences={sentences} />
          <Listen sentences={sentences} />
        </SheetName>
        <SheetVoice id={menu.id} name={menu.name} voice={menu.voice} />
        <Noted isHere={isOnSheet}>
          <MenuAdvice menu={menu} voice={voice} sentences={sentences} />
          <Box mt="3">
            <SpokenField
              label="Opening words"
              value={menu.openingWords}
              voice={menu.voice ?? voice}
              withOptions
              placeholder="Thank you for calling …"
              onChange={setWords('openingWords')}
            />
          </Box>
        </Noted>
        <Box as="ol" listStyleType="none" mt="1" aria-label="Keys, in the order they are read out">
          {menu.options.map((option, index) => (
            <Noted
              key={option.key}
              as="li"
              label={`Key ${option.key}`}
              isHere={(finding) => isAtSlot(finding, { type: 'key', sheetId: menu.id, key: option.key })}
            >
              <KeyRow
                sheetId={menu.id}
                option={option}
                index={index}
                count={menu.options.length}
                free={free}
                voice={menu.voice ?? voice}
                calls={callsOf(option.key)}
                visits={presses?.visits}
              />
            </Noted>
          ))}
        </Box>
        {free ? (
          <Button size="sm" variant="ghost" colorPalette="petrol" ml="-2" mt="1" onClick={() => addKey(free)}>
            <Plus size={14} aria-hidden /> Add key {free}
          </Button>
        ) : (
          <Text mt="1" fontSize="13px" color="quiet">
            All twelve keys are used. For more choices, let a key go to a further menu.
          </Text>
        )}
        <Noted isHere={nothing}>
          <Box mt="2">
            <SpokenField
              label="Closing words"
              value={menu.closingWords}
              voice={menu.voice ?? voice}
              withOptions
              placeholder="Or stay on the line …"
              onChange={setWords('closingWords')}
            />
          </Box>
        </Noted>
        <Fallbacks menu={menu} />
        <Noted isHere={nothing}>
          <MenuExtras sheetId={menu.id} extensions={menu.extensions} speech={menu.speech} options={menu.options} />
        </Noted>
      </Box>
    </WithNotes>
  );
}

interface CallsSwitchProps {
  readonly isShown: boolean;
  /** How many callers came here; undefined while that is not known, or nobody did. */
  readonly visits: number | undefined;
  readonly onChange: (isShown: boolean) => void;
}

/** Shows beside each key how many callers pressed it. */
function CallsSwitch({ isShown, visits, onChange }: CallsSwitchProps) {
  return (
    <Button
      size="xs"
      variant={isShown ? 'subtle' : 'ghost'}
      aria-pressed={isShown}
      title="How many callers pressed each key in the last four weeks"
      onClick={() => onChange(!isShown)}
    >
      <ChartBar size={13} aria-hidden />
      {isShown ? `${(visits ?? 0).toLocaleString()} callers in 4 weeks` : 'Calls'}
    </Button>
  );
}

/** Parts at which nothing is found keep the width of the others. */
const nothing = (): boolean => false;

interface FallbackProps {
  readonly menu: Menu;
}

const voiceOf = ({ voice }: Attendant): VoiceId => voice;

/** Typing in the words of a menu leaves this alone. */
const Fallbacks = memo(function Fallbacks({ menu }: FallbackProps) {
  const { edit } = useDraftTools();
  const setWords = (part: WordsPart) => (words: string) => edit({ type: 'setWords', sheetId: menu.id, part, words });
  const set = (settings: Partial<MenuSettings>) => edit({ type: 'setMenuSettings', sheetId: menu.id, settings });
  const count = (name: 'waitSeconds' | 'silentRounds' | 'wrongKeys', label: string) => (
    <InlineNumber label={label} value={menu[name]} {...menuLimits[name]} onChange={(value) => set({ [name]: value })} />
  );
  return (
    <>
      <Noted isHere={(finding) => isAtSlot(finding, { type: 'silence', sheetId: menu.id })}>
        <Fallback title="If nobody presses a key">
          <Box lineHeight="1.9">
            Keys count{' '}
            <InlineSelect
              label="When keys count"
              value={menu.keysDuringGreeting ? 'during' : 'after'}
              choices={[
                { value: 'during', label: 'while the menu is said' },
                { value: 'after', label: 'only once the menu was said' },
              ]}
              onChange={(value) => set({ keysDuringGreeting: value === 'during' })}
            />
            . Wait {count('waitSeconds', 'Seconds to wait for a key')} s for one.
          </Box>
          {menu.silentRounds > 1 && (
            <SpokenField
              label="After a silent round, before the menu is said again"
              value={menu.silenceWords}
              onChange={setWords('silenceWords')}
            />
          )}
          <Box lineHeight="1.9">
            After {count('silentRounds', 'Silent rounds')} silent {menu.silentRounds === 1 ? 'round' : 'rounds'}:
          </Box>
          <PathSentence slot={{ type: 'silence', sheetId: menu.id }} path={menu.silencePath} of="silence" />
        </Fallback>
      </Noted>
      <Noted isHere={(finding) => isAtSlot(finding, { type: 'wrongKey', sheetId: menu.id })}>
        <Fallback title="If a wrong key is pressed">
          {menu.wrongKeys > 1 && (
            <SpokenField
              label="After a wrong key, before the menu is said again"
              value={menu.wrongKeyWords}
              onChange={setWords('wrongKeyWords')}
            />
          )}
          <Box lineHeight="1.9">At wrong key number {count('wrongKeys', 'Wrong keys')}:</Box>
          <PathSentence slot={{ type: 'wrongKey', sheetId: menu.id }} path={menu.wrongKeyPath} of="wrong keys" />
        </Fallback>
      </Noted>
    </>
  );
}, isSameFallback);

const shown = [
  'id',
  'keysDuringGreeting',
  'waitSeconds',
  'silentRounds',
  'silenceWords',
  'silencePath',
  'wrongKeys',
  'wrongKeyWords',
  'wrongKeyPath',
] as const satisfies readonly (keyof Menu)[];

function isSameFallback({ menu: before }: FallbackProps, { menu: after }: FallbackProps): boolean {
  return shown.every((name) => before[name] === after[name]);
}

/** Digits lead to their key's row; so does a link that names a key. */
function useKeyJumps(menu: Menu, listens: boolean): void {
  const [search] = useSearchParams();
  const asked = search.get('key');
  useEffect(() => {
    if (isKey(asked)) goToKey(menu.id, asked);
  }, [menu.id, asked]);
  useKeyDown(
    (event) => {
      const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey && !isTyping(event.target);
      if (!isPlain || event.defaultPrevented || !isKey(event.key)) return;
      if (!menu.options.some((option) => option.key === event.key)) return;
      event.preventDefault();
      goToKey(menu.id, event.key);
    },
    { isOff: !listens },
  );
}
