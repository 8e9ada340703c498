import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { Hours } from '@locutor/core/hours';
import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { useDraft } from '../../draft/DraftProvider';
import { tellDone } from '../../parts/notices';
import { PathSentence } from '../../parts/PathSentence';
import { SmallButton } from '../../parts/SmallButton';

/** What answers in each period; the first that runs wins. "At all other times" is always last. */
export function AnsweringOrder({ hours }: { readonly hours: Hours }) {
  const { attendant, edit, names, store } = useDraft();
  const { rules, otherwise } = attendant.answering;
  const without = hours.periods.filter((period) => !rules.some((rule) => rule.periodId === period.id));
  return (
    <Box mt="7">
      <Heading as="h2" fontSize="15px" fontWeight="600">
        What answers
      </Heading>
      <Text color="quiet" fontSize="13px">
        Read from the top: where two periods run at once, the first one answers.
      </Text>
      <Box as="ol" listStyleType="none" mt="1">
        {rules.map(({ periodId, path }, index) => {
          const name = names[periodId] ?? 'a deleted period';
          return (
            <Flex as="li" key={periodId} gap="3" py="2" borderTopWidth="1px" borderColor="hairline" align="baseline">
              <Text w="150px" flexShrink="0">
                During <b>{name}</b>:
              </Text>
              <Box flex="1" minW="0">
                <PathSentence slot={{ type: 'period', periodId }} path={path} of={`the answer during ${name}`} />
              </Box>
              <Flex flexShrink="0" color="quiet">
                <SmallButton
                  label={`Move ${name} up`}
                  icon={<ArrowUp size={14} />}
                  isOff={index === 0}
                  onClick={() => edit({ type: 'moveRule', periodId, toIndex: index - 1 })}
                />
                <SmallButton
                  label={`Move ${name} down`}
                  icon={<ArrowDown size={14} />}
                  isOff={index === rules.length - 1}
                  onClick={() => edit({ type: 'moveRule', periodId, toIndex: index + 1 })}
                />
                <SmallButton
                  label={`Give ${name} no answer of its own`}
                  icon={<Trash2 size={14} />}
                  onClick={() => {
                    edit({ type: 'removeRule', periodId });
                    tellDone(`${name} has no answer of its own now.`, store.undo);
                  }}
                />
              </Flex>
            </Flex>
          );
        })}
        {without.map((period) => (
          <Flex as="li" key={period.id} gap="3" py="2" borderTopWidth="1px" borderColor="hairline" align="baseline">
            <Text w="150px" flexShrink="0">
              During <b>{period.name}</b>:
            </Text>
            <Text color="quiet">as at all other times</Text>
            <Button
              size="xs"
              variant="ghost"
              colorPalette="petrol"
              onClick={() => edit({ type: 'addRule', periodId: period.id, path: [] })}
            >
              <Plus size={13} aria-hidden /> Let something else answer
            </Button>
          </Flex>
        ))}
        <Flex
          as="li"
          gap="3"
          py="2"
          borderTopWidth="1px"
          borderBottomWidth="1px"
          borderColor="hairline"
          align="baseline"
        >
          <Text w="150px" flexShrink="0">
            At all other times:
          </Text>
          <PathSentence slot={{ type: 'otherwise' }} path={otherwise} of="the answer at all other times" />
        </Flex>
      </Box>
    </Box>
  );
}
