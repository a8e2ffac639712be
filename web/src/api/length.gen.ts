/** How long a text may be (workings.Length of core), characters; written by tools/api-types. */

export const ABOUT = 600;
export const CODE = 40;
export const HERB_NAME = 80;
export const LINE = 200;
export const NAME = 120;
export const NOTE = 600;
export const OCCASION = 80;
export const OWN_SLUG = 60;
export const OWN_WORDS = 20;
export const PREP = 80;
export const PURPOSE = 40;
export const REMARK = 400;
export const SHORT_NAME = 60;
export const SIGN = 120;
export const SLUG = 80;
export const UNIT = 20;
export const USE = 300;
export const WRITTEN = 20000;
