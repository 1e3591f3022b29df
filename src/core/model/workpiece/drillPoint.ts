/** Point length of a drill, d / (2 tan(point / 2)), mm and degrees (trade: Cutting). */
export const pointLength = (diameter: number, pointAngle: number): number =>
  diameter / (2 * Math.tan((pointAngle * Math.PI) / 360));
