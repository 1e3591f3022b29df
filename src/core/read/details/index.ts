import { chamfer } from './chamfer';
import { crossHole } from './crossHole';
import { faceGroove } from './faceGroove';
import { flats } from './flats';
import { groove } from './groove';
import { hollow } from './hollow';
import { knurl } from './knurl';
import { radius } from './radius';
import { thread } from './thread';
import { vee } from './vee';

/** Every detail that can sit on the outside, in the order that the page offers them. */
export const detailKinds = [chamfer, radius, groove, faceGroove, vee, hollow, thread, knurl, flats, crossHole] as const;
