/** How wide the columns of a printed table are. */
export const Cols = ({ widths }: { widths: readonly string[] }) => (
  <colgroup>
    {widths.map((width, index) => (
      <col key={index} style={{ width }} />
    ))}
  </colgroup>
);
