import { curve, lots, type Point, placesOn, points } from './geometry'
import type { Reader } from './parameters'
import type { Picture } from './picture'
import { Sketch } from './sketch'

const TWIGS = ['hanging', 'drooping', 'stiff'] as const
const SEASON = ['winter', 'summer'] as const
const WATER = ['dry', 'moist', 'wet', 'flooded'] as const

/** A tree against the sky; twigs: how its outer twigs hang; season: bare, or in leaf. */
export function habit(read: Reader): Picture {
  const twigs = read.word('twigs', TWIGS)
  const inLeaf = read.word('season', SEASON) === 'summer'
  read.done()
  const sketch = new Sketch()
  sketch.line(curve(points('20,196 90,193 180,197'), 5), { width: 1.8 })
  sketch.fill(points('92,195 95,120 98,22 101,22 105,120 110,195'), 'ink')
  const draw = lots(161)
  const clouds: Point[] = []
  for (let i = 0; i < 9; i++) {
    const side = i % 2 === 0 ? 1 : -1
    const y = 144 - i * (twigs === 'stiff' ? 9.6 : 12)
    const reach = 76 * Math.sin(0.55 + (i / 9) * 2.2) ** 0.8
    const rise = twigs === 'stiff' ? 30 : 26
    const bough = curve(
      [
        [100, y],
        [100 + side * reach * 0.35, y - rise * 0.62],
        [100 + side * reach * 0.72, y - rise],
        [100 + side * reach, y - rise * (twigs === 'stiff' ? 1.5 : 0.8)],
      ],
      5,
    )
    sketch.line(bough, { width: 5 - i * 0.3, start: 0.95, end: 0.25 })
    if (inLeaf) clouds.push(...placesOn(bough, 4).map((place) => place.at))
    else for (const place of placesOn(bough, 9).slice(2)) twig(sketch, twigs, place.at, side, draw)
  }
  if (inLeaf) foliage(sketch, twigs, [...clouds, [99.5, 26]], draw)
  else for (const side of [-1, 1]) twig(sketch, twigs, [99.5, 24], side, draw)
  return sketch.picture()
}

/**
 * Clouds of leaves about the ends of the boughs, that hang, droop or stand as their twigs do: one mass, with a shade under
 * each cloud.
 */
function foliage(
  sketch: Sketch,
  twigs: (typeof TWIGS)[number],
  at: readonly Point[],
  draw: () => number,
): void {
  const [wide, up, down] = { hanging: [11, 8, 36], drooping: [19, 11, 16], stiff: [16, 20, 8] }[twigs] as [
    number,
    number,
    number,
  ]
  const clouds = at.map(([x, y]) =>
    Array.from({ length: 18 }, (_, i): Point => {
      const angle = (i * Math.PI) / 9
      const rough = (i % 2 === 0 ? 0.82 : 1) + 0.2 * draw()
      const reach = Math.sin(angle) > 0 ? down : up
      return [x + wide * rough * Math.cos(angle), y + reach * rough * Math.sin(angle)]
    }),
  )
  for (const cloud of clouds) sketch.fill(cloud, 'leaf')
  for (const cloud of clouds) sketch.line(cloud.slice(0, 6), { width: 2, start: 0.3, end: 0.3 })
}

function twig(
  sketch: Sketch,
  twigs: (typeof TWIGS)[number],
  [x, y]: Point,
  side: number,
  draw: () => number,
): void {
  const pen = { width: 1.5, start: 1, end: 0.35 }
  const length = 24 + 26 * draw()
  if (twigs === 'hanging') {
    sketch.line(
      curve(
        [
          [x, y],
          [x + side * 4, y - 2],
          [x + side * 7, y + length * 0.35],
          [x + side * (6 + 3 * draw()), y + length],
        ],
        2,
      ),
      pen,
    )
  } else if (twigs === 'drooping') {
    const out = 16 + 8 * draw()
    sketch.line(
      curve(
        [
          [x, y],
          [x + side * out * 0.6, y - 8],
          [x + side * out, y - 3],
          [x + side * (out + 5), y + 9],
        ],
        2,
      ),
      pen,
    )
  } else {
    sketch.line(
      [
        [x, y],
        [x + side * (7 + 7 * draw()), y - 10 - 8 * draw()],
      ],
      pen,
    )
    sketch.line(
      [
        [x, y],
        [x + side * (13 + 4 * draw()), y - 3 - 5 * draw()],
      ],
      pen,
    )
  }
}

/** The ground under a stem in section; water: how wet it stands. */
export function site(read: Reader): Picture {
  const water = read.word('water', WATER)
  read.done()
  const sketch = new Sketch()
  const surface = curve(points('0,92 46,88 100,82 154,89 200,92'), 8)
  sketch.fill([...surface, [200, 200], [0, 200]], water === 'wet' || water === 'flooded' ? 'hatch' : 'wood')
  ground(sketch, water)
  roots(sketch)
  sketch.fill(points('86,0 84,60 70,92 100,84 130,92 116,60 114,0'), 'paper')
  sketch.line(points('86,0 85,40 82,68 66,92'), { width: 3, start: 0.9, end: 0.6 })
  sketch.line(points('114,0 115,40 118,68 134,92'), { width: 4, start: 0.9, end: 0.6 })
  for (const y of [14, 34, 54])
    sketch.line(
      [
        [90, y],
        [100, y + 1.5],
        [108, y],
      ],
      { width: 2 },
    )
  sketch
    .line(
      surface.filter(([x]) => x < 70),
      { width: 2.6 },
    )
    .line(
      surface.filter(([x]) => x > 130),
      { width: 2.6 },
    )
  cover(sketch, water)
  return sketch.picture()
}

function roots(sketch: Sketch): void {
  for (const [dx, dy] of points('-64,46 -34,74 4,88 40,70 68,42')) {
    sketch.line(
      curve(
        [
          [100, 84],
          [100 + dx * 0.5, 96 + dy * 0.4],
          [100 + dx, 92 + dy],
        ],
        6,
      ),
      { width: 5, start: 1, end: 0.15 },
    )
  }
}

function ground(sketch: Sketch, water: (typeof WATER)[number]): void {
  const draw = lots(171)
  if (water === 'dry') {
    for (let i = 0; i < 80; i++) sketch.dot([200 * draw(), 98 + 100 * draw()], 0.8 + draw(), 'hatch')
    for (let i = 0; i < 12; i++) {
      const [x, y, r] = [12 + 176 * draw(), 112 + 78 * draw(), 6 + 7 * draw()]
      sketch.shape(
        curve(
          [
            [x - r, y],
            [x - r * 0.3, y - r * 0.7],
            [x + r, y - r * 0.2],
            [x + r * 0.4, y + r * 0.6],
            [x - r, y],
          ],
          4,
        ),
        'paper',
        1.8,
      )
    }
  } else if (water === 'moist') {
    for (let i = 0; i < 46; i++) {
      const [x, y] = [200 * draw(), 100 + 96 * draw()]
      sketch.line(
        [
          [x, y],
          [x + 7, y + 1],
        ],
        { width: 1.2, role: 'hatch' },
      )
    }
    for (let i = 0; i < 8; i++) {
      const [x, y] = [18 + 166 * draw(), 134 + 54 * draw()]
      sketch.shape(
        curve(
          [
            [x, y - 7],
            [x + 4, y + 1],
            [x, y + 5],
            [x - 4, y + 1],
            [x, y - 7],
          ],
          4,
        ),
        'water',
        1.3,
      )
    }
  } else {
    for (let i = 0; i < 7; i++) {
      const y = 108 + i * 13
      sketch.line(
        curve(
          [
            [0, y],
            [50, y + 3],
            [100, y - 2],
            [150, y + 3],
            [200, y],
          ],
          5,
        ),
        { width: 1.5, role: 'water' },
      )
    }
  }
}

function cover(sketch: Sketch, water: (typeof WATER)[number]): void {
  const draw = lots(181)
  if (water === 'flooded') {
    // water stands over the ground and about the stem
    sketch.fill(points('0,62 82,62 70,92 0,93'), 'water').fill(points('118,62 200,62 200,93 130,92'), 'water')
    for (const [from, to] of [
      [2, 80],
      [120, 198],
    ] as const)
      sketch.line(
        [
          [from, 62],
          [(from + to) / 2, 63],
          [to, 62],
        ],
        { width: 2.4, start: 0.8, end: 0.8 },
      )
    for (const [x, y] of points('20,72 44,80 150,72 172,82'))
      sketch.line(
        [
          [x, y],
          [x + 10, y + 1],
          [x + 18, y],
        ],
        { width: 1.4 },
      )
    return
  }
  if (water === 'wet') {
    for (const [x, w] of [
      [24, 22],
      [176, 22],
    ] as const) {
      sketch.shape(
        curve(
          [
            [x - w, 95],
            [x, 90],
            [x + w, 95],
            [x, 101],
            [x - w, 95],
          ],
          5,
        ),
        'water',
        1.6,
      )
      sketch.line(
        [
          [x - w * 0.5, 95],
          [x, 94],
          [x + w * 0.5, 96],
        ],
        { width: 1.1 },
      )
    }
    for (const x of [50, 62, 140, 152]) {
      for (const lean of [-0.6, -0.2, 0.25, 0.6]) {
        sketch.line(
          curve(
            [
              [x, 93],
              [x + lean * 8, 80],
              [x + lean * 20, 68],
            ],
            4,
          ),
          { width: 1.8, start: 1, end: 0.3 },
        )
      }
    }
  } else if (water === 'moist') {
    for (let i = 0; i < 26; i++) {
      const x = i % 2 === 0 ? 66 * draw() : 134 + 66 * draw()
      sketch.line(
        [
          [x, 90],
          [x + 4 * (draw() - 0.5), 80],
          [x + 8 * (draw() - 0.5), 72],
        ],
        { width: 1.5, start: 1, end: 0.3 },
      )
    }
  } else {
    for (const x of [16, 40, 158, 184])
      sketch.line(
        [
          [x, 89],
          [x + 2, 80],
        ],
        { width: 1.4, start: 1, end: 0.3 },
      )
  }
}
