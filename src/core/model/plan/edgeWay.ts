/**
 * A place on the way of an edge, where its reference point stands: z of whoever looks, r out from the axis (beyond it
 * negative), mm. The edge goes there straight from the place before: cutting, by itself (`rapid`), along the leadscrew or by
 * its own pitch (`thread`), or with a file in the hand (`hand`), which alone follows an arc.
 *
 * The reference point is where a turning tool, a bar or a round nose would touch a face and a diameter; the corner of a
 * blade at the free end; the tip of what is pointed; the low end of a straight edge; the middle of a hollow one.
 */
export interface EdgePlace {
  z: number;
  r: number;
  by?: 'rapid' | 'thread' | 'hand';
  /** Round a middle, the way seen with z to the right and r up. */
  round?: { z: number; r: number; way: 'left' | 'right' };
}

/** How a tool stands in its post where that is not as usual: turned by degrees, or for what looks at the chuck. */
export interface ToolStands {
  turned?: number;
  towardsChuck?: true;
}
