import { FLUIDS } from '../model/shop/material';
import { WAYS } from '../model/way';
import { LIMITS } from '../model/plan/passLoad';
import Joi from 'joi';
import { FAULT_CODES } from '../plan/proof/faults';
import { stopDevices } from '../plan/stops/devices';
import { overruleSchema } from '../read/schemas';
import type { PlanFile } from './planFile';

const number = () => Joi.number().required();
const teeth = () => Joi.array().items(Joi.number().integer()).required();
const text = () => Joi.string().required();
const worked = () => ({
  path: text(),
  lower: number(),
  upper: number(),
  errors: Joi.array().items(Joi.number()).required(),
  allowed: number(),
  resulting: number(),
  measured: Joi.boolean(),
});
const reasons = () =>
  Joi.array()
    .items(Joi.object({ rule: text(), because: text() }))
    .required();
const line = () => Joi.object({ once: number(), each: number() });
const way = () =>
  Joi.string()
    .valid(...WAYS)
    .required();

/** A place on the way of an edge. */
const edgePlace = () =>
  Joi.object({
    z: number(),
    r: number(),
    by: Joi.string().valid('rapid', 'thread', 'hand'),
    round: Joi.object({ z: number(), r: number(), way: Joi.string().valid('left', 'right').required() }),
  });

const proof = () =>
  Joi.object({
    passed: Joi.boolean().required(),
    faults: Joi.array()
      .items(
        Joi.object({
          code: Joi.string()
            .valid(...FAULT_CODES)
            .required(),
          setup: number(),
          operation: Joi.number(),
          pass: Joi.number(),
          what: text(),
          is: Joi.number(),
          asked: Joi.number(),
          z: Joi.number(),
          diameter: Joi.number(),
          amount: Joi.number(),
          path: Joi.string(),
        }),
      )
      .required(),
    clearances: Joi.array()
      .items(Joi.object({ operation: number(), what: text(), distance: number() }))
      .required(),
    segments: number(),
    worst: Joi.object({ path: text(), size: number(), left: number() }),
  }).required();

/** Which of its places a device stands at, under its own name. */
const places = Object.fromEntries(
  stopDevices.flatMap(({ means, numbered }) => (numbered ? [[means, Joi.number()]] : [])),
);

/** The shape of a plan file, for its JSON Schema and for those who read one back. */
export const planFileSchema = Joi.object<PlanFile>({
  format: Joi.string().valid('shingle-plan/1').required(),
  run: Joi.object({ part: text(), revision: Joi.string().allow('').required(), quantity: number() }).required(),
  part: Joi.object({
    length: number(),
    massGrams: number(),
    volume: number(),
    surface: number(),
    centreOfGravity: number(),
    critical: Joi.array()
      .items(Joi.object({ path: text(), what: text(), because: Joi.array().items(Joi.string()).required() }))
      .required(),
  }).required(),
  stock: Joi.object({
    way: way(),
    form: Joi.string().valid('round', 'hex', 'square', 'tube').required(),
    size: number(),
    bore: Joi.number(),
    condition: Joi.string().valid('drawn', 'ground', 'hot-rolled', 'sawn').required(),
    barLength: number(),
    pitch: number().allow(null),
    blankLength: number().allow(null),
    bladeWidth: number().allow(null),
    gripRemnant: number(),
    piecesPerBar: number(),
    piecesToMake: number(),
    cost: number(),
    bars: number(),
    leftOver: number(),
    stickOut: number(),
    massKilograms: number(),
    reasons: reasons(),
  }).required(),
  edges: Joi.array()
    .items(
      Joi.object({
        z: number(),
        diameter: number(),
        inside: Joi.boolean().required(),
        brokenBy: Joi.number().allow(null).required(),
      }),
    )
    .required(),
  overrules: Joi.array()
    .items(
      overruleSchema.keys({
        state: Joi.string().valid('kept', 'waits', 'cannot', 'idle').required(),
        breaks: reasons(),
        minutes: Joi.number(),
      }),
    )
    .required(),
  lengths: Joi.object({
    faces: Joi.array()
      .items(
        Joi.object({
          face: number(),
          setup: number(),
          from: Joi.string().valid('front', 'back').required(),
          distance: number(),
          within: number(),
        }),
      )
      .required(),
    drawn: Joi.array()
      .items(
        Joi.object({
          from: number(),
          to: number(),
          ...worked(),
        }),
      )
      .required(),
    places: Joi.array()
      .items(
        Joi.object({
          face: number(),
          ...worked(),
        }),
      )
      .required(),
  }).required(),
  outside: Joi.array()
    .items(
      Joi.object({
        kind: Joi.string().valid('outside-op').required(),
        after: number().integer().required(),
        feature: text(),
        name: text(),
        minutes: Joi.object({ setup: number(), piece: number() }).required(),
        notes: Joi.array().items(Joi.string()).required(),
      }),
    )
    .required(),
  setups: Joi.array()
    .items(
      Joi.object({
        number: number(),
        end: Joi.string().valid('front', 'back').required(),
        facing: number(),
        holding: Joi.object({
          kind: text(),
          grip: text(),
          diameter: number(),
          from: number(),
          to: number(),
          over: Joi.number(),
          inside: Joi.number(),
          seated: Joi.valid(true),
          runOut: number(),
          stickOut: number(),
        }).required(),
        hold: Joi.object({
          device: text(),
          surface: text(),
          gripLength: number(),
          stickOut: number(),
          support: Joi.string().valid('none', 'centre', 'follow', 'fixed').required(),
          slip: Joi.object({ operation: number(), force: number(), limit: number() }),
          tipping: Joi.object({ operation: number(), moment: number(), limit: number() }),
        }).required(),
        workStop: Joi.object({
          means: Joi.string().valid('bar-stop', 'spindle-stop', 'centre-depth').required(),
          drawnBack: Joi.valid(true),
          setting: number(),
        }).required(),
        rest: Joi.object({
          kind: Joi.string().valid('follow', 'fixed').required(),
          from: number(),
          to: number(),
        }),
        order: Joi.object({ proven: Joi.boolean().required(), gapMinutes: number() }).required(),
        reasons: reasons(),
        cautions: Joi.array().items(Joi.string()).required(),
        settingSheet: Joi.array()
          .items(
            Joi.object({
              step: number(),
              tool: Joi.string(),
              what: text(),
              over: Joi.string(),
              value: Joi.number(),
              stack: Joi.array().items(Joi.number()),
            }),
          )
          .required(),
        gears: Joi.array()
          .items(
            Joi.object({
              operation: number(),
              wheels: Joi.object({ drivers: teeth(), idlers: teeth(), driven: teeth() }),
              toGet: Joi.number(),
              levers: Joi.string(),
              pitch: number(),
              error: number(),
              over: number(),
              halfNuts: Joi.string().valid('anywhere', 'at-marks', 'never').required(),
            }),
          )
          .required(),
        operations: Joi.array()
          .items(
            Joi.object({
              number: number(),
              kind: text(),
              name: text(),
              feature: text(),
              tool: text(),
              makes: Joi.array().items(Joi.string()),
              width: Joi.number(),
              stands: Joi.object({ turned: Joi.number(), towardsChuck: Joi.valid(true) }),
              centre: Joi.boolean().required(),
              cuttingSpeed: number(),
              spindleSpeed: number(),
              feed: number(),
              fluid: Joi.string().valid(...FLUIDS),
              from: Joi.object({ z: number() }).required(),
              to: Joi.object({ z: number() }).required(),
              fullDepth: Joi.number(),
              passes: Joi.array()
                .items(
                  Joi.object({
                    depth: number(),
                    path: Joi.array().items(edgePlace()).required(),
                    diameter: Joi.number(),
                    readOut: Joi.number(),
                    dial: Joi.object({
                      from: number(),
                      to: number(),
                      turns: number(),
                      divisions: number(),
                      rest: number(),
                    }),
                    z: Joi.number(),
                    minutes: number(),
                    cuttingSpeed: number(),
                    limitedBy: Joi.string()
                      .valid(...Object.keys(LIMITS))
                      .required(),
                    roughness: Joi.number(),
                    torque: Joi.number(),
                    thrust: Joi.number(),
                    force: Joi.number(),
                    power: Joi.number(),
                    deflection: Joi.number(),
                    chip: Joi.string().valid('short', 'broken', 'long'),
                  }),
                )
                .required(),
              pecks: Joi.number(),
              does: Joi.array().items(Joi.string()),
              state: Joi.object({
                spindle: Joi.valid('forward', 'back', 'stopped').required(),
                feed: Joi.object({
                  by: Joi.valid('hand', 'power', 'leadscrew').required(),
                  way: text(),
                }),
                levers: Joi.string(),
                halfNuts: Joi.valid('in', 'out').required(),
                locked: Joi.array().items(Joi.string()).required(),
              }).required(),
              stop: Joi.object({
                means: Joi.string()
                  .valid(...new Set(stopDevices.map(({ means }) => means)), 'none')
                  .required(),
                ...places,
                spacers: Joi.array().items(Joi.number()).max(2),
                made: Joi.valid(true),
                feeler: Joi.number(),
                scale: Joi.valid(true),
                dial: Joi.object({
                  from: number(),
                  to: number(),
                  turns: number(),
                  divisions: number(),
                  remainder: number(),
                }),
                setting: Joi.number(),
                edges: Joi.object({ tip: Joi.number(), left: Joi.number(), right: Joi.number() }).required(),
              }).required(),
              crossStop: Joi.number(),
              note: Joi.string(),
              clearances: Joi.array()
                .items(Joi.object({ what: text(), distance: number() }))
                .required(),
              minutes: Joi.object({ cutting: number(), hand: number() }).required(),
              checks: Joi.array()
                .items(
                  Joi.object({
                    what: text(),
                    from: Joi.number(),
                    upTo: Joi.number(),
                    gauge: Joi.string(),
                    every: number(),
                  }),
                )
                .required(),
              reasons: reasons(),
              cautions: Joi.array().items(Joi.string()).required(),
              warnings: Joi.array().items(Joi.string()).required(),
            }),
          )
          .required(),
      }),
    )
    .required(),
  complete: Joi.boolean().required(),
  missing: Joi.array()
    .items(Joi.object({ path: text(), because: text() }))
    .required(),
  toGet: Joi.array()
    .items(
      Joi.object({
        what: text(),
        for: Joi.array().items(number()).required(),
        cost: number(),
        without: Joi.string(),
      }),
    )
    .required(),
  kit: Joi.array()
    .items(
      Joi.object({
        what: text(),
        place: Joi.string(),
        has: Joi.valid(true, false, 'to make').required(),
      }),
    )
    .required(),
  route: Joi.object({
    proven: Joi.boolean().required(),
    gap: Joi.number(),
    setups: number(),
    compared: number(),
    risks: Joi.array()
      .items(Joi.object({ because: text(), minutes: number() }))
      .required(),
    runnersUp: Joi.array()
      .items(Joi.object({ words: text(), pieceMinutes: Joi.number(), batchMinutes: Joi.number(), lostBy: text() }))
      .required(),
  }).required(),
  proof: proof(),
  time: Joi.object({
    setupMinutes: number(),
    pieceMinutes: number(),
    batchMinutes: number(),
    ways: Joi.array()
      .items(
        Joi.object({
          way: way(),
          batchMinutes: Joi.number(),
          pieceMinutes: Joi.number(),
          bars: Joi.number(),
          problem: Joi.object({ path: Joi.string().allow('').required(), message: text() }),
        }),
      )
      .required(),
    running: Joi.array()
      .items(
        Joi.object({
          id: text(),
          name: text(),
          planned: Joi.boolean().required(),
          minutes: line(),
          money: line(),
          batchMinutes: Joi.number(),
          batchMoney: Joi.number(),
          problem: Joi.string(),
          risks: Joi.array().items(Joi.string()).required(),
        }),
      )
      .required(),
    crossovers: Joi.array()
      .items(Joi.object({ from: text(), to: text(), quantity: number(), minutes: number() }))
      .required(),
    cost: Joi.object({
      currency: text(),
      material: number(),
      labour: number(),
      edges: number(),
      order: number(),
      batch: number(),
      piece: number(),
    }).required(),
  }).required(),
  doubts: Joi.array()
    .items(Joi.object({ path: text(), rule: text(), because: text() }))
    .required(),
  warnings: Joi.array().items(Joi.string()).required(),
});
