/** A complex number; phasors here are rms. */
export interface Complex {
  readonly re: number;
  readonly im: number;
}

export const ZERO: Complex = { re: 0, im: 0 };

/** A complex number of its parts. */
export function complex(re: number, im = 0): Complex {
  return { re, im };
}

/** A phasor of its size and angle in degrees. */
export function polar(size: number, degrees: number): Complex {
  const angle = (degrees * Math.PI) / 180;
  return { re: size * Math.cos(angle), im: size * Math.sin(angle) };
}

export function add(...terms: readonly Complex[]): Complex {
  let [re, im] = [0, 0];
  for (const term of terms) {
    re += term.re;
    im += term.im;
  }
  return { re, im };
}

export function sub(a: Complex, b: Complex): Complex {
  return { re: a.re - b.re, im: a.im - b.im };
}

export function mul(a: Complex, b: Complex): Complex {
  return { re: a.re * b.re - a.im * b.im, im: a.re * b.im + a.im * b.re };
}

export function scale(a: Complex, by: number): Complex {
  return { re: a.re * by, im: a.im * by };
}

/** a / b; b must not be zero. */
export function div(a: Complex, b: Complex): Complex {
  const size = b.re * b.re + b.im * b.im;
  return { re: (a.re * b.re + a.im * b.im) / size, im: (a.im * b.re - a.re * b.im) / size };
}

export function conj(a: Complex): Complex {
  return { re: a.re, im: -a.im };
}

export function abs(a: Complex): number {
  return Math.hypot(a.re, a.im);
}
