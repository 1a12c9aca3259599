/** Newtons that pull at a kilogram, near enough everywhere people film. */
export const GRAVITY = 9.81;
