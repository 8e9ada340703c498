import { Box, Flex, Text } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { ResponsiveContainer } from 'recharts';
import { fills, petrol, Textures, type Fill } from './fills';

export interface ChartPart {
  readonly key: string;
  readonly name: string;
  readonly fill: Fill;
}

interface Props {
  readonly title: string;
  /** What the fills stand for; in the order in which they are drawn. */
  readonly parts?: readonly ChartPart[];
  /** More that is told beside them. */
  readonly legend?: ReactNode;
  /** What the chart says in words, where it says little; else the table that follows is pointed to. */
  readonly says?: string;
  readonly height: number;
  readonly maxW?: string;
  /** The same figures as a table; none where it stands beside. */
  readonly table?: ReactNode;
  readonly children: ReactElement;
}

/** A chart with its title, what its fills stand for, and its figures as a table. */
export function ChartFrame({ title, parts = [], legend, says, height, maxW = '820px', table, children }: Props) {
  const reading = says
    ? { role: 'img', 'aria-label': says }
    : { role: 'figure', 'aria-label': `${title}, as a chart; the same figures follow as a table` };
  return (
    <Box maxW={maxW}>
      <Text asChild fontWeight="600" fontSize="15px" mb="2">
        <h2>{title}</h2>
      </Text>
      <Flex gap="4" wrap="wrap" fontSize="12.5px" color="quiet" mb="1">
        {parts.map(({ key, name, fill }) => (
          <Flex key={key} align="center" gap="1.5">
            <svg width="14" height="12" aria-hidden>
              <Textures />
              <rect width="14" height="12" fill={fills[fill]} stroke={petrol} />
            </svg>
            {name}
          </Flex>
        ))}
        {legend}
      </Flex>
      <Box h={`${height}px`} {...reading}>
        <ResponsiveContainer width="100%" height="100%">
          {children}
        </ResponsiveContainer>
      </Box>
      {table && (
        <details>
          <Text asChild fontSize="13px" color="quiet" cursor="pointer">
            <summary>The figures as a table</summary>
          </Text>
          {table}
        </details>
      )}
    </Box>
  );
}
