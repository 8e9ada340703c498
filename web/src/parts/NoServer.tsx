import { Box, Button, Text } from '@chakra-ui/react';

/** Shown instead of the screens when what they need cannot be loaded. */
export function NoServer({ again }: { readonly again: () => void }) {
  return (
    <Box as="main" maxW="480px" mx="auto" mt="20vh" p="4">
      <Text fontWeight="600">Locutor’s server does not answer.</Text>
      <Text mt="2">Start it with “npm start”, then try again. Nothing that was saved is lost.</Text>
      <Button mt="4" colorPalette="petrol" onClick={again}>
        Try again
      </Button>
    </Box>
  );
}
