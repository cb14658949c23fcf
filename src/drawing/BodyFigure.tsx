import { lipOf, bodyProfile } from '../core/parts/body-form';
import type { LureBody } from '../core/parts/kinds/lure-body';
import { Across, Aslant, Down } from './dimension-lines';
import { bodyBox, lureBodyShapes } from './lure-body-shapes';
import { PaintDefs, Shapes } from './Shapes';

/** What is measured on a body, by the field it is for. */
export type BodyMeasure = 'lengthM' | 'heightM' | 'lipLengthM' | 'tieAtM' | 'hanger';

export interface BodyFigureProps {
  readonly body: LureBody;
  /** The measure being taken stands out. */
  readonly taking: BodyMeasure | null;
}

const WIDTH = 430;
const HEIGHT = 170;
const MARGIN = 52;
const MM = 1000;

/** A body from its side as far as it is known, with a line for each thing to measure. */
export function BodyFigure({ body, taking }: BodyFigureProps) {
  const shapes = lureBodyShapes(body);
  const box = bodyBox(body);
  const scale = Math.min((WIDTH - 2 * MARGIN) / box.width, (HEIGHT - 66) / box.height);
  const left = (WIDTH - box.width * scale) / 2 - box.left * scale;
  const middle = 22 + (box.height * scale) / 2 - box.middle * scale;
  const x = (xM: number) => left + xM * MM * scale;
  const y = (upM: number) => middle - upM * MM * scale;
  const stations = bodyProfile(body);
  const highest = stations.reduce((most, each) => (each.upM + each.downM > most.upM + most.downM ? each : most));
  const lip = lipOf(body);
  const under = middle + (box.middle + box.height / 2) * scale;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label="What to measure on the body"
      className="w-full shrink-0"
    >
      <PaintDefs shapes={shapes} />
      <g transform={`translate(${left} ${middle}) scale(${scale})`}>
        <Shapes shapes={shapes} />
      </g>
      <Across on={taking === 'lengthM'} from={x(0)} to={x(body.lengthM)} y={under + 24} word="length" />
      <Down on={taking === 'heightM'} x={x(highest.xM)} from={y(highest.upM)} to={y(-highest.downM)} word="height" />
      {lip && (
        <Aslant
          on={taking === 'lipLengthM'}
          from={{ x: x(lip.root.xM), y: y(lip.root.yM) }}
          to={{ x: x(lip.tip.xM), y: y(lip.tip.yM) }}
          word="lip"
        />
      )}
      {body.bellyEyesM.map((atM, i) => (
        <Across
          key={atM}
          on={taking === 'hanger'}
          from={x(0)}
          to={x(atM)}
          y={under + 6 + 5 * i}
          word={i === 0 ? 'hanger' : ''}
          wordAfter
        />
      ))}
      {body.tieOn === 'back' && (
        <Across on={taking === 'tieAtM'} from={x(0)} to={x(body.tieAtM)} y={12} word="line eye" wordAt={x(0) - 6} />
      )}
    </svg>
  );
}
