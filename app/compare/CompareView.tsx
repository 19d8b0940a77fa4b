import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import IconButton from '@mui/material/IconButton';
import Close from '@mui/icons-material/Close';
import { useEffect, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Alignment } from '../../core/compare/index.js';
import { AskList } from '../shared/AskList.js';
import { useKeys } from '../shared/use-keys.js';
import { ViewHead } from '../shared/ViewHead.js';
import { useTape } from '../store/work-context.js';
import { CompareDrawing, MarkSample } from './CompareDrawing.js';
import { toggled, useCompare, type Focus } from './compare-store.js';
import { CompareTable } from './CompareTable.js';
import { useCompared } from './compared.js';
import { OnTheBody } from './OnTheBody.js';
import './compare.css';

const ALIGNED: readonly (readonly [Alignment, string])[] = [
  ['crease', 'Crease and crotch line'],
  ['side', 'Side at the crotch line'],
  ['crotch', 'Crotch point'],
  ['waist', 'Side end of the waist'],
];

const LOOKED_AT: readonly (readonly [Focus, string])[] = [
  ['whole', 'Whole pieces'],
  ['top', 'Above the knee'],
  ['crotch', 'About the crotch'],
];

/** Drafts and methods on one body, laid over one another or side by side, with all figures; letters show and hide. */
export function CompareView() {
  const { compared, candidates } = useCompared();
  const { beside, hidden, align, layout, focus, set } = useCompare();
  const tape = useTape();
  const [all, setAll] = useState(false);
  const [query, setQuery] = useSearchParams();
  const asked = query.get('beside');
  useEffect(() => {
    if (asked === null) return;
    set({ beside: [asked], hidden: new Set() });
    setQuery({}, { replace: true });
  }, [asked, set, setQuery]);
  const open = candidates.filter((c) => !beside.includes(c.id));

  // The letters of what is compared stand before what they do elsewhere.
  useKeys(
    Object.fromEntries(
      compared.map(({ id, letter }) => [
        letter.toLowerCase(),
        () => {
          set({ hidden: toggled(useCompare.getState().hidden, id) });
        },
      ]),
    ),
    { first: true },
  );

  return (
    <>
      <main className="board laid-over" aria-label="Comparison">
        <h2 className="print-only">{compared.map((c) => `${c.letter}: ${c.label}`).join(', ')}</h2>
        <CompareDrawing compared={compared} hidden={hidden} align={align} layout={layout} focus={focus} />
        <div className="compare-figures">
          {compared.length > 1 ? (
            <CompareTable compared={compared} tape={tape} all={all} />
          ) : (
            <p className="quiet">Lay a method, another draft or a version over this one to see where they differ.</p>
          )}
        </div>
      </main>
      <aside className="bench" aria-label="Compare">
        <ViewHead title="Compare" />
        <ul className="compared">
          {compared.map((c, i) => (
            <li key={c.id}>
              <FormControlLabel
                control={
                  <Checkbox
                    size="small"
                    checked={!hidden.has(c.id)}
                    onChange={() => {
                      set({ hidden: toggled(hidden, c.id) });
                    }}
                  />
                }
                label={
                  <>
                    <strong>{c.letter}</strong> <MarkSample index={i} /> {c.label}
                  </>
                }
              />
              {i > 0 && (
                <IconButton
                  size="small"
                  aria-label={`Take ${c.label} away`}
                  onClick={() => {
                    set({ beside: beside.filter((id) => id !== c.id) });
                  }}
                >
                  <Close fontSize="small" />
                </IconButton>
              )}
              {c.why && <p className="doubt">{c.why}</p>}
            </li>
          ))}
        </ul>
        <AskList
          wide
          label="Lay over"
          value={undefined}
          none="Add a method, a draft or a version"
          options={open.map((c) => [c.id, c.label] as const)}
          onPick={(id) => {
            if (id !== undefined) set({ beside: [...beside, id] });
          }}
        />
        <p className="acts">
          <Button
            size="small"
            variant="outlined"
            onClick={() => {
              set({ beside: candidates.filter((c) => c.kind === 'method').map((c) => c.id) });
            }}
          >
            All ten methods
          </Button>
          <Button
            size="small"
            variant="outlined"
            disabled={beside.length === 0}
            onClick={() => {
              set({ beside: [], hidden: new Set() });
            }}
          >
            Clear
          </Button>
        </p>
        <AskList
          wide
          label="Shown"
          value={layout}
          options={[
            ['over', 'Over one another'],
            ['beside', 'Side by side'],
          ]}
          onPick={(next) => {
            if (next) set({ layout: next });
          }}
        />
        <AskList
          wide
          label="Brought together at"
          value={align}
          options={ALIGNED}
          onPick={(next) => {
            if (next) set({ align: next });
          }}
        />
        <AskList
          wide
          label="Looked at"
          value={focus}
          options={LOOKED_AT}
          onPick={(next) => {
            if (next) set({ focus: next });
          }}
        />
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={all}
              onChange={(_, on) => {
                setAll(on);
              }}
            />
          }
          label="Figures that are the same too"
        />
        <p className="quiet">Press a letter to hide or show its draft.</p>
        <OnTheBody compared={compared} hidden={hidden} />
        <Button
          variant="contained"
          onClick={() => {
            window.print();
          }}
        >
          Print comparison
        </Button>
      </aside>
    </>
  );
}
