import { Box, Text } from '@chakra-ui/react';
import { Link } from 'react-router';

export interface FiguresRow {
  readonly key: string;
  readonly name: string;
  readonly figures: readonly string[];
  /** Where the calls behind it are; none unless given. */
  readonly to?: string | undefined;
}

interface Props {
  readonly title: string;
  /** Of each column; the first is the rows' own. */
  readonly head: readonly string[];
  readonly rows: readonly FiguresRow[];
  /** A bar at the end of each row, from 0 to 1; none unless given. */
  readonly bars?: readonly number[];
}

/** Figures in rows and columns. */
export function FiguresTable({ title, head, rows, bars }: Props) {
  const most = Math.max(0, ...(bars ?? []));
  return (
    // Where it is wider than its place it is scrolled, with the keyboard too.
    <Box overflowX="auto" tabIndex={0} role="group" aria-label={title}>
      <Text asChild fontWeight="600" fontSize="15px" mb="1">
        <h2>{title}</h2>
      </Text>
      <Box
        asChild
        w="100%"
        fontSize="13px"
        css={{
          '& td, & th': {
            padding: '4px 8px',
            textAlign: 'right',
            borderBottom: '1px solid',
            borderColor: 'hairline',
            fontWeight: 400,
          },
          '& th:first-of-type': { textAlign: 'left' },
          '& th': { whiteSpace: 'nowrap' },
          '& thead th': { color: 'quiet' },
          '& td': { fontFamily: 'mono', whiteSpace: 'nowrap' },
        }}
      >
        <table aria-label={title}>
          <thead>
            <tr>
              {head.map((name, index) => (
                <th key={name} scope="col">
                  {index === 0 && name === '' ? <Box srOnly>Who</Box> : name}
                </th>
              ))}
              {bars && <td aria-hidden />}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ key, name, figures, to }, row) => (
              <tr key={key}>
                <th scope="row">
                  {to ? (
                    <Box
                      asChild
                      textDecoration="underline"
                      textDecorationColor="hairline"
                      _hover={{ textDecorationColor: 'ink' }}
                    >
                      <Link to={to}>{name}</Link>
                    </Box>
                  ) : (
                    name
                  )}
                </th>
                {figures.map((figure, index) => (
                  <td key={index}>{figure}</td>
                ))}
                {bars && (
                  <Box asChild w="16%">
                    <td aria-hidden>
                      <Box h="10px" bg="petrol.solid" w={`${most > 0 ? (100 * (bars[row] ?? 0)) / most : 0}%`} />
                    </td>
                  </Box>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
    </Box>
  );
}
