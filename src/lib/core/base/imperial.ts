/** International yard and pound agreement, 1959: exactly. */
export const CM_PER_INCH = 2.54;
export const KG_PER_POUND = 0.45359237;
