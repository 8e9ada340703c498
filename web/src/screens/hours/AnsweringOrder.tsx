import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import { unusedRules, type Hours, type UnusedRule } from '@locutor/core/hours';
import { slotKey, slotOfRule, type AnsweringRule, type Names } from '@locutor/core/line';
import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import { useCallerLists } from '../../api/resources';
import { useDraft, useDraftTools } from '../../draft/DraftProvider';
import { tellDone } from '../../parts/notices';
import { SmallButton } from '../../parts/SmallButton';
import { useNow } from '../../parts/useNow';
import { PathSentence } from '../../path/PathSentence';
import { StepDragArea } from '../../path/StepDragArea';

/** Who and what answers when; the first rule that applies wins. "At all other times" is always last. */
export function AnsweringOrder({ hours }: { readonly hours: Hours }) {
  const { attendant, edit } = useDraft();
  const { rules, otherwise } = attendant.answering;
  const { line } = useDraftTools();
  // By the day: the next two years are looked through.
  const day = Math.floor(useNow(3_600_000) / 86_400_000);
  const unused = useMemo(
    () => unusedRules(rules, hours, line.timeZone, day * 86_400_000),
    [rules, hours, line.timeZone, day],
  );
  const callerLists = useCallerLists();
  const blocked = callerLists.filter(({ kind }) => kind === 'blocked');
  const periods = hours.periods.filter(
    ({ id }) => !rules.some((rule) => rule.type === 'period' && rule.periodId === id),
  );
  const lists = callerLists.filter(
    ({ id, kind }) => kind !== 'blocked' && !rules.some((rule) => rule.type === 'callers' && rule.callerListId === id),
  );
  return (
    <StepDragArea>
      <Box mt="7">
        <Heading as="h2" fontSize="15px" fontWeight="600">
          What answers
        </Heading>
        <Text color="quiet" fontSize="13px">
          Read from the top: where several of these are so at once, the first one answers.
        </Text>
        <Box as="ol" listStyleType="none" mt="1">
          {blocked.length > 0 && (
            <Row name={<>Callers in {blocked.map(({ name }) => name).join(', ')}:</>}>
              <Text color="quiet">are let go at once, before anything else</Text>
            </Row>
          )}
          {rules.map((rule, index) => (
            <RuleRow
              key={slotKey(slotOfRule(rule))}
              rule={rule}
              index={index}
              count={rules.length}
              unused={unused.find((each) => each.rule === rule)?.why}
            />
          ))}
          {lists.map(({ id, name }) => (
            <Row key={id} name={<CallersName name={name} />}>
              <Text color="quiet">as all other callers</Text>
              <AddAnswer
                onAdd={() => edit({ type: 'addRule', rule: { type: 'callers', callerListId: id, path: [] } })}
              />
            </Row>
          ))}
          {hours.special.length > 0 && !rules.some((rule) => rule.type === 'special' && rule.specialId === null) && (
            <Row name={<SpecialName name={null} />}>
              <Text color="quiet">as at all other times, while they are closed</Text>
              <AddAnswer
                onAdd={() => edit({ type: 'addRule', rule: { type: 'special', specialId: null, path: [] } })}
              />
            </Row>
          )}
          {periods.map(({ id, name }) => (
            <Row key={id} name={<PeriodName name={name} />}>
              <Text color="quiet">as at all other times</Text>
              <AddAnswer onAdd={() => edit({ type: 'addRule', rule: { type: 'period', periodId: id, path: [] } })} />
            </Row>
          ))}
          <Row name="At all other times:" isLast>
            <PathSentence slot={{ type: 'otherwise' }} path={otherwise} of="the answer at all other times" />
          </Row>
        </Box>
      </Box>
    </StepDragArea>
  );
}

const PeriodName = ({ name }: { readonly name: string }) => (
  <>
    During <b>{name}</b>:
  </>
);

const CallersName = ({ name }: { readonly name: string }) => (
  <>
    Callers in <b>{name}</b>:
  </>
);

/** Null for any special date. */
const SpecialName = ({ name }: { readonly name: string | null }) =>
  name === null ? (
    <>
      On <b>special dates</b>:
    </>
  ) : (
    <>
      On <b>{name}</b>:
    </>
  );

/** Why a rule never answers, with what to do. */
const unusedWords: Readonly<Record<UnusedRule['why'], string>> = {
  neverApplies: 'Never answers in the coming two years: it has no time then.',
  alwaysBeaten: 'Never answers in the coming two years: what stands above it always comes first. Move it up.',
};

/** How a rule begins in the list, and what its answer is called. */
function wordsOfRule(rule: AnsweringRule, names: Names): { name: string; head: ReactNode; of: string } {
  switch (rule.type) {
    case 'period': {
      const name = names[rule.periodId] ?? 'a deleted period';
      return { name, head: <PeriodName name={name} />, of: `the answer during ${name}` };
    }
    case 'callers': {
      const name = names[rule.callerListId] ?? 'a deleted list';
      return { name, head: <CallersName name={name} />, of: `the answer for ${name}` };
    }
    case 'special': {
      const name = rule.specialId && (names[rule.specialId] ?? 'a deleted date');
      return {
        name: name ?? 'Special dates',
        head: <SpecialName name={name} />,
        of: `the answer on ${name ?? 'special dates'}`,
      };
    }
  }
}

function Row({ name, isLast, children }: { name: ReactNode; isLast?: boolean; children: ReactNode }) {
  return (
    <Flex
      as="li"
      gap="3"
      py="2"
      borderTopWidth="1px"
      borderBottomWidth={isLast ? '1px' : undefined}
      borderColor="hairline"
      align="baseline"
    >
      <Text w="150px" flexShrink="0">
        {name}
      </Text>
      {children}
    </Flex>
  );
}

function AddAnswer({ onAdd }: { readonly onAdd: () => void }) {
  return (
    <Button size="xs" variant="ghost" colorPalette="petrol" onClick={onAdd}>
      <Plus size={13} aria-hidden /> Let something else answer
    </Button>
  );
}

function RuleRow({
  rule,
  index,
  count,
  unused,
}: {
  readonly rule: AnsweringRule;
  readonly index: number;
  readonly count: number;
  readonly unused: UnusedRule['why'] | undefined;
}) {
  const { edit, names, store } = useDraftTools();
  const slot = slotOfRule(rule);
  const { name, head, of } = wordsOfRule(rule, names);
  const move = (toIndex: number) => edit({ type: 'moveRule', rule: slot, toIndex });
  const remove = (): void => {
    edit({ type: 'removeRule', rule: slot });
    tellDone(`${name} has no answer of its own now.`, store.undo);
  };
  return (
    <Row name={head}>
      <Box flex="1" minW="0">
        <PathSentence slot={slot} path={rule.path} of={of} />
        {unused && (
          <Text role="note" fontSize="12.5px" fontWeight="500">
            {unusedWords[unused]}
          </Text>
        )}
      </Box>
      <Flex flexShrink="0" color="quiet">
        <SmallButton
          label={`Move ${name} up`}
          icon={<ArrowUp size={14} />}
          isOff={index === 0}
          onClick={() => move(index - 1)}
        />
        <SmallButton
          label={`Move ${name} down`}
          icon={<ArrowDown size={14} />}
          isOff={index === count - 1}
          onClick={() => move(index + 1)}
        />
        <SmallButton label={`Give ${name} no answer of its own`} icon={<Trash2 size={14} />} onClick={remove} />
      </Flex>
    </Row>
  );
}
