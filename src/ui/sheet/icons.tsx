/** Signs of the operations, drawn in one style: the work as a light bar, the tool dark. 16 px. */
const SIGNS: Record<string, string> = {
  face: 'M2 5h9v6H2z M13 3v10',
  centre: 'M2 4h5v8H2z M14 8h-4l-2-1.5M10 8l-2 1.5',
  drill: 'M2 3h6v10H2z M14 6h-6l-2 2 2 2h6',
  ream: 'M2 3h6v10H2z M14 6.5H6M14 9.5H6M6 5.5v5',
  countersink: 'M2 3h6v10H2z M8 4.5L5 8l3 3.5M14 5.5h-3L8 8l3 2.5h3',
  'turn-rough': 'M2 7h12v5H2z M2 4h12M11 2l3 2-3 2',
  'turn-finish': 'M2 7h12v5H2z M3 4h8l3 2',
  groove: 'M2 6h4v4h3V6h5v7H2z M6.5 2h2v5h-2z',
  'turn-behind': 'M2 4h3v5h7V4h2v9H2z M11 2L7 8M9 5h4',
  'face-groove': 'M2 3h8v3H7v4h3v3H2z M9 7h5v2H9z',
  chamfer: 'M2 4h8l4 4v5H2z M10 2l5 5',
  bore: 'M2 3h7v10H2z M14 6.5H5v2.5M5 6.5l-1 1.2 1 1.3',
  counterbore: 'M2 3h7v10H2z M9 5.5H6v5h3M14 8H6',
  tap: 'M2 3h5v10H2z M14 8H5M6 6l1 4M8.5 6l1 4M11 6l1 4',
  'hand-tap': 'M2 3h5v10H2z M14 8H5M6 6l1 4M8.5 6l1 4M13 4v8',
  'inner-groove': 'M2 3h9v3H8.5V8h-2V6H2z M14 11H7.5V8.5',
  'inner-thread': 'M2 3h9v2l-1.2 1.5L8.6 5 7.4 6.5 6.2 5 5 6.5V9H2z M14 11H6V8',
  taper: 'M2 5.5l12 2.5v5H2z M4 3l9 2',
  thread: 'M2 8h12v5H2z M3 8l1.5-3L6 8l1.5-3L9 8l1.5-3L12 8',
  die: 'M2 6h7v4H2z M8 3h3v10H8z M13 5v6',
  knurl: 'M2 7h12v6H2z M3 13l4-6M7 13l4-6M11 13l3-4.5M10 2a2 2 0 1 0 .1 0z',
  vee: 'M2 6h4l2 4 2-4h4v7H2z M8 2v4',
  form: 'M2 6h3a3 3 0 0 0 6 0h3v7H2z M8 2v3',
  'lead-in': 'M2 3h6v10H2z M8 5L6 7v2l2 2M13 8H9',
  deburr: 'M2 6h8l3 3v4H2z M9 3l5 5M12 2l2 2',
  polish: 'M2 8h12v5H2z M2 5q2-2 4 0t4 0t4 0',
  'part-in': 'M2 5h5v7H2z M9 5h5v7H9z M7 12h2M8 2v6',
  inspect: 'M3 2v12M13 2v12M3 5h4M13 5H9M3 11h10',
  'by-hand': 'M4 14V8l2-1V3h2v4l5 2v5z',
  'part-off': 'M2 5h5v7H2z M10 5h4v7h-4z M8.5 2v12',
};

export function OperationSign({ kind }: { kind: string }) {
  return (
    <svg
      width="16"
      height="16"
      viewBox="0 0 16 16"
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeWidth="1.4"
      strokeLinejoin="round"
      strokeLinecap="round"
    >
      <path d={SIGNS[kind] ?? 'M3 8h10'} />
    </svg>
  );
}
