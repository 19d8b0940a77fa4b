import { useState } from 'react';

/** A field for a name: taken over on Enter or on leaving, so that a name is one step of undo; Escape gives back. */
export function NameField({
  id,
  label,
  value,
  className,
  allowEmpty = false,
  onCommit,
}: {
  id?: string;
  label: string;
  value: string;
  className: string;
  allowEmpty?: boolean;
  onCommit: (name: string) => void;
}) {
  const [text, setText] = useState<string>();
  const commit = (): void => {
    const name = text?.trim();
    setText(undefined);
    if (name !== undefined && (allowEmpty || name !== '') && name !== value) onCommit(name);
  };
  return (
    <input
      id={id}
      className={className}
      aria-label={id === undefined ? label : undefined}
      maxLength={allowEmpty ? 1000 : 200}
      value={text ?? value}
      data-typed={text !== undefined}
      onChange={(event) => {
        setText(event.target.value);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') event.currentTarget.blur();
        if (event.key === 'Escape') {
          event.stopPropagation();
          setText(undefined);
        }
      }}
    />
  );
}
