import { memo } from 'react';
import IconButton from '@mui/material/IconButton';
import UndoOutlined from '@mui/icons-material/SettingsBackupRestoreOutlined';
import type { FieldSource } from './LengthField.js';

const WORDS: Record<FieldSource, string> = {
  sheet: 'From the sheet',
  hand: 'Set by hand',
  estimate: 'Rests on an estimate',
  measured: 'Measured',
};

const SIGNS: Record<FieldSource, string> = { sheet: '=', hand: '✎', estimate: '≈', measured: '' };

/** The sign that tells where a figure comes from; for one set by hand, the way back to the sheet. */
export const SourceMark = memo(function SourceMark({
  source,
  label,
  onGiveBack,
}: {
  source: FieldSource;
  label: string;
  onGiveBack?: () => void;
}) {
  if (source === 'hand' && onGiveBack) {
    return (
      <IconButton
        title={`${WORDS.hand}. Give it back to the sheet`}
        size="small"
        sx={{ color: 'var(--hand)', width: 28, height: 28 }}
        aria-label={`Give ${label.toLowerCase()} back to the sheet`}
        onClick={onGiveBack}
      >
        <UndoOutlined fontSize="small" />
      </IconButton>
    );
  }
  return (
    <span title={WORDS[source]} className="source" data-source={source} role="img" aria-label={WORDS[source]}>
      {SIGNS[source]}
    </span>
  );
});
