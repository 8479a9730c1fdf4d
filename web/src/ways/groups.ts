import type { Group } from "./group";
import { MIXING_GROUPS } from "./mixingGroups";
import { POURING_GROUPS } from "./pouringGroups";

/** All habits in which makers differ, in the order of the work. */
export const GROUPS: readonly Group[] = [...MIXING_GROUPS, ...POURING_GROUPS];
