import { Button, SimpleGrid, Text } from '@chakra-ui/react';
import { keys, spokenKey, type Menu, type SheetId } from '@locutor/core/line';
import { memo } from 'react';
import { goToKey } from './goToKey';
import { useAddKey } from './useAddKey';

interface Props {
  readonly menuId: SheetId;
  readonly name: string;
  readonly options: Menu['options'];
}

/** The twelve keys of a menu: filled ones are used and lead to their row, empty ones can be given a use. */
export const KeyMap = memo(function KeyMap({ menuId, name, options }: Props) {
  const addKey = useAddKey(menuId);
  return (
    <>
      <Text fontSize="12px" color="quiet" mb="1.5" px="1">
        Keys of {name}
      </Text>
      <SimpleGrid columns={3} gap="1" maxW="132px" px="1">
        {keys.map((key) => {
          const option = options.find((each) => each.key === key);
          const label = option
            ? `Go to key ${spokenKey(key)}: ${option.label || 'no label'}`
            : `Give key ${spokenKey(key)} a use`;
          return (
            <Button
              key={key}
              size="xs"
              h="8"
              minW="0"
              fontFamily="mono"
              fontSize="14px"
              variant={option ? 'solid' : 'outline'}
              colorPalette="petrol"
              color={option ? undefined : 'quiet'}
              borderStyle={option ? 'solid' : 'dashed'}
              borderColor="hairline"
              aria-label={label}
              title={label}
              onClick={() => (option ? goToKey(menuId, key) : addKey(key))}
            >
              {key}
            </Button>
          );
        })}
      </SimpleGrid>
    </>
  );
});
