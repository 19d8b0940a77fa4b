import type { Reader, Said } from '../reader.js';

const percent = (share: number): string => `${Number((share * 100).toFixed(1))} %`;

interface Named {
  readonly label: string;
}

interface Out extends Named {
  readonly value: number;
  readonly least: number;
  readonly most: number;
}

/** Refusals of settings, choices and lines of a method sheet. */
export const METHOD_SAID = {
  lengthByHand: (
    { label, value, most }: Named & { readonly value: number; readonly most: number },
    reader: Reader,
  ): Said => [`${label} cannot be ${reader.exact(value)}.`, `Enter a length under ${reader.most(most)}.`],
  shareByHand: ({ label, value, least, most }: Out): Said => [
    `${label} cannot be ${String(value)}.`,
    `Enter a share between ${least} and ${most}.`,
  ],
  countByHand: ({ label, value, most }: Named & { readonly value: number; readonly most: number }): Said => [
    `${label} cannot be ${String(value)}.`,
    `Enter a whole number from 0 to ${most}.`,
  ],
  dartPlaceByHand: ({ label, value }: Named & { readonly value: string }): Said => [
    `${label} cannot be ${value}.`,
    'Choose crease, midway or apexSpan, or give a distance from the centre.',
  ],
  choiceUnknown: ({
    label,
    wanted,
    values,
  }: Named & { readonly wanted: string; readonly values: readonly string[] }): Said => [
    `${label} cannot be “${wanted}”.`,
    `Choose ${values.join(' or ')}.`,
  ],
  settingOut: ({ label, value, least, most }: Out, reader: Reader): Said => [
    `${label} ${reader.exact(value)} cannot be drafted.`,
    `Enter ${reader.least(least)} to ${reader.most(most)}, or check the unit.`,
  ],
  shareSettingOut: ({ label, value, least, most }: Out): Said => [
    `${label} ${percent(value)} cannot be drafted.`,
    `Enter ${percent(least)} to ${percent(most)}.`,
  ],
  lineWithoutFigure: ({ label, formula }: Named & { readonly formula: string }): Said => [
    `${label} comes out without a figure: “${formula}”.`,
    'Check the measurements it uses, or set it by hand.',
  ],
  lengthTwice: (): Said => ['The length is given twice, from waist to hem and inside the leg.', 'Give one of the two.'],
  notASetting: ({
    name,
    sheet,
    known,
  }: {
    readonly name: string;
    readonly sheet: string;
    readonly known: readonly string[];
  }): Said => [`“${name}” is not a setting of “${sheet}”.`, `Its settings are ${known.join(', ')}.`],
  notALine: ({ name, sheet }: { readonly name: string; readonly sheet: string }): Said => [
    `“${name}” is not a line of “${sheet}”.`,
    'Use a line of the sheet, such as back.extension.',
  ],
  sheetFault: ({ fault }: { readonly fault: string }): Said => [fault, 'Mend the line in the sheet.'],
};
