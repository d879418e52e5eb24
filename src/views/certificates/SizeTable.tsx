import { Box, Table } from '@mantine/core';
import type { Certificate } from '../../core/record/types';
import { figure } from '../../core/words/en/format';

type Range = readonly [number, number] | null | undefined;

const range = (value: Range) => (value ? `${figure(value[0])} to ${figure(value[1])}` : '');

/** The ranges of every size as figures. */
export function SizeTable({ certificate: { sheet } }: { certificate: Certificate }) {
  const armours = [...new Set(sheet.sizes.flatMap(({ clamp }) => clamp.map(({ armour }) => armour)))];
  const columns = ['Size', 'Thread', 'Outer seal, mm', 'Inner seal, mm', ...armours.map((armour) => `${armour}, mm`), 'Over the cores, mm', 'Armour left, mm']; // prettier-ignore
  return (
    <details>
      <summary>The same as a table</summary>
      <Box style={{ overflowX: 'auto' }}>
        <Table>
          <Table.Thead>
            <Table.Tr>
              {columns.map((column) => (
                <Table.Th scope="col" key={column}>
                  {column}
                </Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {sheet.sizes.map(({ size, thread, outer, inner, clamp, pot, armourLengthMm }) => (
              <Table.Tr key={size}>
                <Table.Th scope="row">{size}</Table.Th>
                <Table.Td>{thread}</Table.Td>
                <Figures of={outer.rangeMm} />
                <Figures of={inner?.rangeMm} />
                {armours.map((armour) => (
                  <Figures key={armour} of={clamp.find((face) => face.armour === armour)?.rangeMm} />
                ))}
                <Figures of={pot?.overCoresMm} />
                <Figures of={armourLengthMm} />
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </Box>
    </details>
  );
}

const Figures = ({ of }: { of: Range }) => <Table.Td className="figures">{range(of)}</Table.Td>;
