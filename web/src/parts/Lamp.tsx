import { Box } from '@chakra-ui/react';

/** The on-air lamp: filled and coral when on, an empty ring when off. The words beside it say the same. */
export function Lamp({ isOn }: { readonly isOn: boolean }) {
  return (
    <Box
      as="span"
      aria-hidden
      flexShrink="0"
      w="10px"
      h="10px"
      borderRadius="full"
      borderWidth="2px"
      borderColor={isOn ? 'lamp' : 'quiet'}
      bg={isOn ? 'lamp' : 'transparent'}
    />
  );
}
