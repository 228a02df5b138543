import type { Step, Zone } from '../api/client'
import { Backdrop, Features } from '../visit/FaceDrawing'
import { mirrored, outline } from '../visit/outlines'
import { say } from '../words/say'
import '../words/where'
import type { Place } from './placesOf'

/** The zones of the drawn face that a place covers, from the front. */
const FRONT: Partial<Record<Place, Zone[]>> = {
  T_ZONE: ['FOREHEAD', 'NOSE', 'CHIN'],
  CHEEKS: ['CHEEK_R', 'CHEEK_L'],
  CHIN_AND_JAW: ['CHIN', 'BEARD'],
  EYE_AREA: ['EYE_R', 'EYE_L'],
  LIPS: ['LIPS'],
  BEARD: ['BEARD', 'UPPER_LIP'],
  EARS: ['EARS'],
  NECK: ['NECK'],
}
/** From the hairline to the chin; eyes and lips lie bare on it. */
const WHOLE_FACE =
  'M103 214C98 150 122 106 158 97C190 90 230 90 262 97C298 106 322 150 317 214C317 262 302 314 268 360C248 388 230 401 210 401C190 401 172 388 152 360C118 314 103 262 103 214Z'
const CHEST = 'M134 454C160 468 260 468 286 454L322 474C304 524 252 556 210 564C168 556 116 524 98 474Z'
const BARE: Zone[] = ['EYE_R', 'EYE_L', 'LIPS']
/** A tap on the drawing means the place that most often is meant there. */
const TAPPED: [Place, Zone[]][] = [
  ['FACE', ['FOREHEAD', 'NOSE', 'CHIN', 'CHEEK_R', 'CHEEK_L', 'UPPER_LIP']],
  ['EYE_AREA', ['EYE_R', 'EYE_L']],
  ['LIPS', ['LIPS']],
  ['EARS', ['EARS']],
  ['NECK', ['NECK']],
]
const SPOTTED: [number, number][] = [
  [150, 268],
  [168, 300],
  [268, 262],
  [196, 140],
  [226, 376],
]
const DRY: [number, number][] = [
  [134, 256],
  [286, 256],
  [176, 312],
  [244, 312],
]

/** What the layer is most of decides its pattern, as on the strip. */
function pattern({ water, oils, sealing, filter }: Step['shares']): string {
  const most = Math.max(water, oils, sealing, filter)
  return most === filter && filter > 0
    ? 'p-filter'
    : most === sealing
      ? 'p-seal'
      : most === oils
        ? 'p-oils'
        : 'p-water'
}

/** The outline of one zone where it lies. */
function Zoned({ zone, ...path }: { zone: Zone } & React.SVGProps<SVGPathElement>) {
  return (
    <path
      d={outline(zone)}
      transform={mirrored(zone) ? 'translate(420 0) scale(-1 1)' : undefined}
      {...path}
    />
  )
}

/**
 * The face from the front down to the chest, the nape, the parting and the hands: filled where a step goes, dashed where it does not. The
 * list beside it says the same in words and takes the keys.
 */
export function BodyMap({
  places,
  step,
  flip,
}: {
  places: Place[]
  step: Step
  flip: (place: Place) => void
}) {
  const fill = `url(#${step.shares.filter > 0 ? 'p-filter' : pattern(step.shares)})`
  const covered = new Set(places.flatMap((p) => FRONT[p] ?? []))
  const shape = (place: Place, d: string) => (
    <path
      d={d}
      className={places.includes(place) ? 'in' : 'out'}
      fill={places.includes(place) ? fill : 'transparent'}
      onClick={() => flip(place)}
    />
  )
  return (
    <svg className="body-map" viewBox="20 40 620 560" aria-hidden="true">
      <Backdrop />
      <path className="line" d="M62 476C46 500 40 530 38 566M358 476C374 500 380 530 382 566" />
      {shape('CHEST', CHEST)}
      {places.includes('FACE') && (
        <>
          <path d={WHOLE_FACE} fill={fill} className="whole" />
          {BARE.filter((z) => !covered.has(z)).map((z) => (
            <Zoned key={z} zone={z} className="bare" />
          ))}
        </>
      )}
      {[...covered].map((z) => (
        <Zoned key={z} zone={z} fill={fill} className="filled" />
      ))}
      {places.includes('MARKS') &&
        SPOTTED.map(([x, y]) => <circle key={x} cx={x} cy={y} r="9" className="mark" />)}
      {places.includes('SPOTS') &&
        SPOTTED.slice(0, 3).map(([x, y]) => <circle key={x} cx={x} cy={y} r="5" className="mark" />)}
      {places.includes('DRY_PLACES') &&
        DRY.map(([x, y]) => <ellipse key={x} cx={x} cy={y} rx="20" ry="13" fill={fill} className="filled" />)}
      <Features />
      {TAPPED.flatMap(([place, zones]) =>
        zones.map((z) => (
          <Zoned
            key={z}
            zone={z}
            className={place === 'FACE' && places.includes('FACE') ? 'tap' : covered.has(z) ? 'in' : 'out'}
            fill="transparent"
            onClick={() => flip(place)}
          />
        )),
      )}
      <text x="210" y="590" textAnchor="middle">
        {say('where.fromTheFront')}
      </text>
      <g transform="translate(446 56)">
        <path
          className="line"
          d="M38 74C30 26 52 6 90 6C128 6 150 26 142 74C142 100 132 116 124 124L56 124C48 116 38 100 38 74Z"
        />
        <path className="line" d="M90 8L90 118M70 10C56 40 54 80 62 122M110 10C124 40 126 80 118 122" />
        {shape(
          'NECK_BACK',
          'M56 126L124 126C124 146 126 156 138 166C116 174 64 174 42 166C54 156 56 146 56 126Z',
        )}
        <text x="90" y="192" textAnchor="middle">
          {say('where.fromBehind')}
        </text>
      </g>
      <g transform="translate(476 268)">
        <ellipse className="line" cx="60" cy="44" rx="44" ry="42" />
        {shape('PARTING', 'M55 3L65 3L65 62L55 62Z')}
        <text x="60" y="104" textAnchor="middle">
          {say('where.fromAbove')}
        </text>
      </g>
      <g transform="translate(452 424)">
        {[0, 92].map((x) => (
          <g key={x} transform={x === 0 ? undefined : 'translate(168 0) scale(-1 1)'}>
            <path
              className="line"
              d="M14 52L10 24C9 16 17 15 18 23L22 44L24 10C24 2 33 2 33 10L34 42L40 12C42 4 50 6 49 14L46 46L56 26C60 19 67 23 64 31L56 58"
            />
            {shape('HANDS', 'M13 52C24 44 48 44 56 56C60 72 54 86 50 98L20 98C14 84 12 68 13 52Z')}
          </g>
        ))}
        <text x="84" y="120" textAnchor="middle">
          {say('where.hands')}
        </text>
      </g>
    </svg>
  )
}
