/** Minutes of one hand element (trade: Time). */
export interface HandMinutes {
  loadJaws: number;
  loadCollet: number;
  unload: number;
  pullBar: number;
  /** The compound back to an angle that was proved before. */
  compoundAgain: number;
  /** A rest brought up to the work and oiled. */
  rest: number;
  /** The bar to the stop of the saw; its cut takes as long as its section. */
  sawBlank: number;
  changePost: number;
  /** The same where the post is a turret. */
  changeTurret: number;
  /** A tool put into the post in place of another, where it has no place of its own. */
  swapTool: number;
  /** The post turned to one of its steps and clamped, or back; what stands in it keeps its zero by the step, and is looked at. */
  turnPost: number;
  /** The carriage clamped for what is fed across, or freed after it. */
  lockCarriage: number;
  changeTailstock: number;
  tailstock: number;
  speedChange: number;
  feedChange: number;
  approach: number;
  /** The quill to its stop or its scale. */
  quill: number;
  station: number;
  /** The carriage to a figure of the read-out, which is read each time. */
  readOut: number;
  setStop: number;
  peckReturn: number;
  /** A turn of a tap by hand, in and out. */
  tapTurn: number;
  /** Half-nuts out, the carriage wound back, and in again. */
  halfNut: number;
  /** One sharp edge broken by hand. */
  deburrEdge: number;
  /** What is left of the middle of a parted face, filed off. */
  fileNib: number;
  /** One grit, and the size measured after it. */
  polish: number;
  /** To bring fluid to an operation. */
  oil: number;
  /** A step of a form that is walked by its table, and blending it with a file. */
  formStep: number;
  formBlend: number;
  clear: number;
  clearStringy: number;
  /** Swarf between two clearings, cm³. */
  clearEvery: number;
}

/** Minutes of one element of setting up (trade: Time). */
export interface SetupMinutes {
  fetchAndRead: number;
  jawsChange: number;
  colletChange: number;
  toolOnHeight: number;
  tailstockTool: number;
  setStop: number;
  touchOff: number;
  changeGears: number;
  /** A scratch along a thread, and its pitch measured, before the first is cut. */
  scratch: number;
  /** A rest mounted and set. */
  rest: number;
  /** The compound to an angle, and proved. */
  compound: number;
  /** What was made to hold by and is kept, put on again and proved. */
  keptHolder: number;
}

/** Work on other machines and at other firms: minutes to set up and for a piece, and what the lathe leaves for it, mm. */
export interface OutsideValues {
  /** A piece in and out of any of them; something more across the axis in the holding that is there. */
  load: number;
  again: number;
  millSetup: number;
  millFlat: number;
  drillSetup: number;
  crossHole: number;
  grindSetup: number;
  grind: number;
  honeSetup: number;
  hone: number;
  trimSetup: number;
  trim: number;
  /** A batch packed, sent and fetched, and each piece of it handled. */
  sendOut: number;
  handle: number;
  /** On the diameter. */
  leaveToGrind: number;
  leaveToHone: number;
  /** What is left on a length that is trimmed at assembly, mm. */
  leaveToTrim: number;
  /** How closely that is turned, as a share of it either way. */
  leftWithin: number;
}
