/** The two faces of a part by the names that a run file gives them, in every language; shown, they are said by `sayFace`. */
export const FACES: Record<'front' | 'back', 'front face' | 'back face'> = { front: 'front face', back: 'back face' };
