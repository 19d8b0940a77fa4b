import type { Reader, Said } from '../reader.js';

interface Named {
  readonly name: string;
}

const shape = (fault: string | undefined): string => fault ?? 'it has another shape';

/** Refusals of an order to the command. */
export const ORDER_SAID = {
  orderShape: ({ place, fault }: { readonly place: string; readonly fault: string | undefined }): Said => [
    `The order is not understood at “${place}”: ${shape(fault)}.`,
    'See the README for an order.',
  ],
  orderAlteration: (f: {
    readonly number: number;
    readonly place: string;
    readonly fault: string | undefined;
  }): Said => [
    `The alteration ${f.number} is not understood at “${f.place}”: ${shape(f.fault)}.`,
    'See docs/alterations.md for what an alteration looks like.',
  ],
  orderLength: ({ label, fault }: { readonly label: string; readonly fault: string }): Said => [
    `${label}: ${fault}.`,
    'Write it as 27.3, 10 3/4 or 273mm.',
  ],
  orderPlainNumber: ({ name }: Named): Said => [`${name} needs a plain number.`, 'Write it without a unit.'],
  orderUnknown: (f: Named & { readonly what: string; readonly known: readonly string[] }): Said => [
    `There is no ${f.what} “${f.name}”.`,
    `Choose one of: ${f.known.join(', ')}.`,
  ],
  orderOnOff: ({ name }: Named): Said => [`${name} is on or off.`, 'Give true or false.'],
  orderStretch: (): Said => ['The stretch is a share of 0 to 3.', 'Write 0.4 for 40 %.'],
  orderNeedsLength: ({ name }: Named): Said => [`“${name}” needs a length.`, 'Give a figure.'],
  orderShare: ({ name }: Named): Said => [`“${name}” is a share.`, 'Write 0.46 for 46 %.'],
  orderAllowance: ({ name, most }: Named & { readonly most: number }, reader: Reader): Said => [
    `The allowance of “${name}” is out of its range.`,
    `Give between 0 and ${reader.most(most)}.`,
  ],
  orderEdge: ({ name }: Named): Said => [
    `“${name}” is no edge of a part.`,
    'Write the part and the edge, as in back.side.',
  ],
  orderStretchOrder: ({ name, from, to }: Named & { readonly from: number; readonly to: number }): Said => [
    `The stretch of “${name}” begins at ${from} and ends at ${to}.`,
    'Give shares of the edge from 0 to 1, the smaller first.',
  ],
  orderMeasurement: ({ name, known }: Named & { readonly known: readonly string[] }): Said => [
    `“${name}” is not a measurement.`,
    `Known are ${known.join(', ')}.`,
  ],
};
