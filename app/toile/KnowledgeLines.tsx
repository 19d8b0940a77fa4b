import Button from '@mui/material/Button';
import { useState } from 'react';
import { fileRefusalsSentence } from '../../core/refusal/index.js';
import { DOES, readKnowledge, seenNamed, writeKnowledge } from '../../core/toile/index.js';
import { readerIn } from '../../core/units/index.js';
import { FileButton, JSON_FILES } from '../shared/FileButton.js';
import { saveFile } from '../shared/save-file.js';
import { usePreferences } from '../store/preferences.js';
import { useUnit } from '../store/work-context.js';
import { useKnowledge } from './use-knowledge.js';

/** How strongly a thing that is seen speaks for a cause. */
const STRENGTH: readonly (readonly [least: number, words: string])[] = [
  [2.5, 'mostly'],
  [1.5, 'often'],
  [0, 'may be'],
];
const strength = (weight: number): string => STRENGTH.find(([least]) => weight >= least)?.[1] ?? '';

/** What is known of toiles, to be read; saved to a file, changed there, and opened again as this maker's own. */
export function KnowledgeLines() {
  const knowledge = useKnowledge();
  const own = usePreferences((p) => p.knowledge) !== undefined;
  const set = usePreferences((p) => p.set);
  const unit = useUnit();
  const [said, setSaid] = useState<string>();
  const open = async (file: File): Promise<void> => {
    const read = readKnowledge(await file.text());
    if (read.ok) {
      set({ knowledge: read.value });
      setSaid('Opened: causes are told by it from now on, in this browser.');
    } else setSaid(`${fileRefusalsSentence(read.refusals, readerIn(unit))} Nothing was changed.`);
  };
  return (
    <details className="knowledge">
      <summary>What is known of toiles{own ? ', your own' : ''}</summary>
      <ul>
        {knowledge.causes.map(({ id, words, why, does, seen }) => (
          <li key={id} data-known={id}>
            <strong>{words}</strong>. {why} Done about it: {DOES[does].of}.
            <ul>
              {Object.entries(seen)
                .sort(([, a], [, b]) => b - a)
                .map(([what, weight]) => (
                  <li key={what}>{`${seenNamed(what, knowledge)?.words ?? what}: ${strength(weight)}`}</li>
                ))}
            </ul>
          </li>
        ))}
      </ul>
      <div className="acts">
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            saveFile('toiles.knowledge.json', writeKnowledge(knowledge), 'application/json');
          }}
        >
          Save it to a file
        </Button>
        <FileButton
          words="Open a changed file"
          label="Knowledge of toiles"
          accept={JSON_FILES}
          size="small"
          onFile={(file) => {
            void open(file);
          }}
        />
        {own && (
          <Button
            size="small"
            onClick={() => {
              set({ knowledge: undefined });
              setSaid('Causes are told by what the house has again.');
            }}
          >
            Back to the house’s
          </Button>
        )}
      </div>
      <p className="quiet" role="status">
        {said ?? 'Words, strengths, figures and pins stand in the file; change them there in any editor.'}
      </p>
    </details>
  );
}
