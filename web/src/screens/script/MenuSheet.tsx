import { Box, Button, Text } from '@chakra-ui/react';
import {
  isKey,
  menuLimits,
  type Attendant,
  type Key,
  type Menu,
  type MenuSettings,
  type SheetId,
  type VoiceId,
  type WordsPart,
} from '@locutor/core/line';
import { sheetSentences } from '@locutor/core/speech';
import type { SheetPresses } from '@locutor/core/traffic';
import { ChartBar, Plus } from 'lucide-react';
import { memo, useCallback, useEffect } from 'react';
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
  const voice = useAttendantPart(voiceOf);
  useKeyJumps(menu, listens);
  const [isShown, setShown] = useCallsShown();
  const presses = useRecentPresses(isShown)?.find(({ sheetId }) => sheetId === menu.id);
  const facts = useSpokenFacts();
  const sentences = sheetSentences(menu, voice, facts);
  return (
    <WithNotes>
      <Box px="6" pb="10" maxW="1020px">
        <SheetName sheet={menu}>
          <CallsSwitch isShown={isShown} visits={presses?.visits} onChange={setShown} />
          <ReadOutLength sentences={sentences} />
          <Listen sentences={sentences} />
        </SheetName>
        <SheetVoice id={menu.id} name={menu.name} voice={menu.voice} />
        <Noted at={menu.id}>
          <MenuAdvice menu={menu} voice={voice} sentences={sentences} />
          <Box mt="3">
            <Words
              of={menu}
              part="openingWords"
              voice={voice}
              label="Opening words"
              placeholder="Thank you for calling …"
            />
          </Box>
        </Noted>
        <Keys
          sheetId={menu.id}
          options={menu.options}
          voice={menu.voice ?? voice}
          presses={isShown ? presses : undefined}
        />
        <Noted>
          <Box mt="2">
            <Words
              of={menu}
              part="closingWords"
              voice={voice}
              label="Closing words"
              placeholder="Or stay on the line …"
            />
          </Box>
        </Noted>
        <Fallbacks menu={menu} />
        <Noted>
          <MenuExtras sheetId={menu.id} extensions={menu.extensions} speech={menu.speech} options={menu.options} />
        </Noted>
      </Box>
    </WithNotes>
  );
}

interface WordsProps {
  readonly of: Menu;
  readonly part: 'openingWords' | 'closingWords';
  /** The script's, where the menu has none of its own. */
  readonly voice: VoiceId;
  readonly label: string;
  readonly placeholder: string;
}

function Words({ of: menu, part, voice, label, placeholder }: WordsProps) {
  const { id } = menu;
  const { edit } = useDraftTools();
  const set = useCallback((words: string) => edit({ type: 'setWords', sheetId: id, part, words }), [edit, id, part]);
  return (
    <SpokenField
      label={label}
      value={menu[part]}
      voice={menu.voice ?? voice}
      withOptions
      placeholder={placeholder}
      onChange={set}
    />
  );
}

interface KeysProps {
  readonly sheetId: SheetId;
  readonly options: Menu['options'];
  readonly voice: VoiceId;
  /** How many callers pressed what in the last four weeks; undefined where that is not shown. */
  readonly presses: SheetPresses | undefined;
}

/** A row per key. Typing in the words of a menu leaves them alone. */
const Keys = memo(function Keys({ sheetId, options, voice, presses }: KeysProps) {
  const addKey = useAddKey(sheetId);
  const free = nextFreeKey({ options });
  const callsOf = (key: Key): number | undefined =>
    presses && (presses.choices.find(({ choice }) => choice === key)?.visits ?? 0);
  return (
    <>
      <Box as="ol" listStyleType="none" mt="1" aria-label="Keys, in the order they are read out">
        {options.map((option, index) => (
          <Noted key={option.key} as="li" label={`Key ${option.key}`} at={{ type: 'key', sheetId, key: option.key }}>
            <KeyRow
              sheetId={sheetId}
              option={option}
              index={index}
              count={options.length}
              free={free}
              voice={voice}
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
    </>
  );
});

interface CallsSwitchProps {
  readonly isShown: boolean;
  /** How many callers came here; undefined while that is not known, or nobody did. */
  readonly visits: number | undefined;
  readonly onChange: (isShown: boolean) => void;
}

/** Shows beside each key how many callers pressed it. */
const CallsSwitch = memo(function CallsSwitch({ isShown, visits, onChange }: CallsSwitchProps) {
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
});

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
      <Noted at={{ type: 'silence', sheetId: menu.id }}>
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
      <Noted at={{ type: 'wrongKey', sheetId: menu.id }}>
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
