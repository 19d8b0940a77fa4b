import { useMemo } from 'react';
import type { AlterationWork } from '../../core/alter/index.js';
import { computeDraft } from '../../core/chain/index.js';
import type { Block } from '../../core/draft/index.js';
import { cutOfVersion, cutVersionOf, inputOf, versionLabel, type CutVersion } from '../../core/kept/index.js';
import { EDGE_LABELS } from '../../core/garment/index.js';
import { onCut, type CutVerdict, type OnCut } from '../../core/toile/index.js';
import { formatLength, tapeFor, type Unit } from '../../core/units/index.js';
import { withFractions } from '../shared/fractions.js';
import { sheetOf } from '../store/sheets.js';
import { useComputed, useUnit, useWork } from '../store/work-context.js';

const SAID: Readonly<Record<CutVerdict, (left: string) => string>> = {
  takenIn: () => 'taken in: there is cloth',
  inlay: (left) => `fits the inlay, ${left} left`,
  tight: (left) => `only ${left} of inlay left, less than a seam needs`,
  setIn: (left) => `${left} beyond the cloth: a piece has to be set in`,
  gone: (left) => `${left} beyond the cloth: a front curve that is cut cannot be filled again`,
};

const said = ({ panel, edge, verdict, left }: OnCut, unit: Unit): string =>
  `${panel === 'front' ? 'Front' : 'Back'} ${EDGE_LABELS[edge].toLowerCase()}: ${SAID[verdict](formatLength(Math.abs(left), tapeFor(unit)))}`;

/** The version of the open draft that was cut last, as it was cut. */
function useCut(): { readonly label: string; readonly cut: CutVersion } | undefined {
  const work = useWork((s) => s.work);
  return useMemo(() => {
    const version = cutVersionOf(work.draft);
    const cut = version && cutOfVersion(work, version, sheetOf(version.inputs));
    return version && cut && { label: versionLabel(version), cut };
  }, [work]);
}

function CutItems({ cut, now }: { readonly cut: CutVersion; readonly now: Block }) {
  const unit = useUnit();
  const all = useMemo(() => onCut(cut.cutLines, cut.block, now), [cut, now]);
  return all.map((one) => (
    <li key={`${one.panel} ${one.edge}`} data-on-cut={one.verdict}>
      {withFractions(said(one, unit))}
    </li>
  ));
}

/** What the draft as it is now is on the cloth of the version that was cut. */
export function OnCutLines() {
  const found = useCut();
  const block = useComputed((c) => c.draft?.block);
  if (!found || !block) return null;
  return (
    <section aria-label="On the cloth that is cut">
      <h3>{`On the cloth of ${found.label.toLowerCase()}`}</h3>
      <ul className="effects">
        <CutItems cut={found.cut} now={block} />
      </ul>
    </section>
  );
}

/** What works would be on cloth that is cut; nothing where none is. */
export function OnCutItems({ works }: { readonly works: readonly AlterationWork[] }) {
  const found = useCut();
  const work = useWork((s) => s.work);
  const tried = useMemo(() => {
    if (!found) return undefined;
    const input = inputOf(work, sheetOf(work.draft));
    const more = works.map((w, i) => ({ id: `on-cut.${i}`, on: true, note: '', work: w }));
    const outcome = computeDraft({ ...input, alterations: [...input.alterations, ...more] });
    return outcome.ok ? outcome.value.block : undefined;
  }, [found, work, works]);
  return found && tried ? <CutItems cut={found.cut} now={tried} /> : null;
}
