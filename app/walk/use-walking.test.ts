import { describe, expect, it } from 'vitest';
import { nextStop } from './use-walking.js';

const NOTCHES = [0, 120, 305.5, 640];

describe('from notch to notch', () => {
  it('goes on to the next, back to the one before, and stays at the ends', () => {
    expect(nextStop(NOTCHES, 0, 640, false)).toBe(120);
    expect(nextStop(NOTCHES, 200, 640, false)).toBe(305.5);
    expect(nextStop(NOTCHES, 640, 640, false)).toBe(640);
    expect(nextStop(NOTCHES, 640, 640, true)).toBe(305.5);
    expect(nextStop(NOTCHES, 60, 640, true)).toBe(0);
    expect(nextStop(NOTCHES, 0, 640, true)).toBe(0);
  });

  it('does not stop again where it stands, by a hair', () => {
    expect(nextStop(NOTCHES, 119.8, 640, false)).toBe(305.5);
    expect(nextStop(NOTCHES, 120.2, 640, true)).toBe(0);
  });

  it('goes to the end where a seam has no notch', () => {
    expect(nextStop([], 10, 400, false)).toBe(400);
    expect(nextStop([], 10, 400, true)).toBe(0);
  });
});
