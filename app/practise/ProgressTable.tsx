import { Link } from 'react-router';
import type { Practice } from '../../core/kept/index.js';
import { dueItems, SLIP_LABELS, slipsMade, sumOf } from '../../core/practice/index.js';
import type { RoomId } from '../store/rooms.js';

/** What was practised: by method and subject with its steps, and the kinds of slips. */
export function ProgressTable({ room, practice }: { readonly room: RoomId; readonly practice: readonly Practice[] }) {
  const now = new Date();
  const all = practice.filter((p) => p.id !== 'course' && Object.keys(p.items).length > 0);
  const slips = slipsMade(all);
  if (all.length === 0)
    return (
      <p className="quiet">Nothing was practised yet. Begin with the first lesson, or with a method that you know.</p>
    );
  return (
    <>
      <div className="practise-scroll">
        <table className="figures practise-progress-table">
          <thead>
            <tr>
              <th scope="col">Practised</th>
              <th scope="col">Asked</th>
              <th scope="col">Right</th>
              <th scope="col">Known</th>
              <th scope="col">Comes back now</th>
            </tr>
          </thead>
          <tbody>
            {all.map((p) => {
              const { asked, right, known, items } = sumOf(p);
              const due = dueItems(p, now).length;
              return (
                <tr key={p.id} data-practice={p.id}>
                  <th scope="row">{p.name}</th>
                  <td>{asked}</td>
                  <td>{right}</td>
                  <td>
                    {known} of {items}
                  </td>
                  <td>
                    {due > 0 ? <Link to={`/${room}/practise/due?of=${encodeURIComponent(p.id)}`}>{due}</Link> : '–'}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {slips.length > 0 && (
        <>
          <h3>Slips, most often first</h3>
          <ul className="practise-slips">
            {slips.map(([kind, times]) => (
              <li key={kind} data-slip={kind}>
                <span>{SLIP_LABELS[kind]}</span> <strong>{times}</strong>
              </li>
            ))}
          </ul>
        </>
      )}
      {all.map((p) => (
        <details key={p.id}>
          <summary>{p.name}, line by line</summary>
          <table className="figures">
            <thead>
              <tr>
                <th scope="col">Line</th>
                <th scope="col">Right</th>
                <th scope="col">Near</th>
                <th scope="col">Missed</th>
              </tr>
            </thead>
            <tbody>
              {Object.entries(p.items).map(([id, item]) => (
                <tr key={id}>
                  <th scope="row">{item.name}</th>
                  <td>{item.right}</td>
                  <td>{item.near}</td>
                  <td>{item.missed}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      ))}
    </>
  );
}
