export const MIXING_COLUMN = 180;

export const NARROWEST_CUP = 96;

export const CUP_AREA = 104;
