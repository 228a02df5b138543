import { render, screen, within } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { Schemas } from '../api/client'
import { AirBand } from './AirBand'

const because = (sentence: string) => ({ sentence, evidence: 'HOUSE', source: 'house', rule: null }) as never

const air = (over: Partial<Schemas['AirTodayView']> = {}): Schemas['AirTodayView'] => ({
  site: 'harbour',
  place: 'Harbour',
  day: '2026-12-01',
  told: true,
  simulated: true,
  air: {
    outdoors: { celsius: 4.4, humidity: 79.6, wind: 9.5, uvIndex: 0.6 },
    rooms: because('Heated rooms fall to 31 % humidity.'),
  } as never,
  name: 'dry heated rooms, low sun',
  compared: because('About as is usual on the day.'),
  days: [
    { day: '2026-12-01', celsius: 4.4, usual: 4.9, uvIndex: 0.6, told: true },
    { day: '2026-12-02', celsius: -4.1, usual: 4.8, uvIndex: 0.5, told: true },
  ],
  early: [],
  spells: [],
  ...over,
})

const snap = {
  id: 'cold_snap',
  label: 'a cold snap',
  from: '2026-12-02',
  until: '2026-12-04',
  because: because('3 days at about -4 °C.'),
}

describe('the air today', () => {
  it('says how warm it is, what kind of air, and that it is simulated', () => {
    render(<AirBand air={air()} />)
    const band = screen.getByRole('region', { name: 'The air today at Harbour' })
    expect(band).toHaveTextContent('4 °C at Harbour today: dry heated rooms, low sun')
    expect(band).toHaveTextContent('80 % humid, wind 10 m/s, UV index 1.')
    expect(band).toHaveTextContent('Simulated weather.')
    expect(within(band).getAllByRole('listitem')).toHaveLength(2)
  })

  it('says so when the usual air stands for what was not told', () => {
    render(
      <AirBand
        air={air({
          told: false,
          simulated: false,
          missing: because('The weather service does not answer.'),
          days: [{ day: '2026-12-01', celsius: 4.9, usual: 4.9, uvIndex: 0.6, told: false }],
        })}
      />,
    )
    expect(screen.getByRole('region')).toHaveTextContent('4 °C is usual at Harbour today')
    expect(screen.getByRole('region')).not.toHaveTextContent('About as is usual')
    expect(screen.getByRole('status')).toHaveTextContent('The weather service does not answer.')
    expect(screen.getByRole('listitem')).toHaveTextContent('not told: what is usual')
  })

  it('marks the days of a spell in words and offers what can be done about it', () => {
    const act = vi.fn(() => <button>Lay it over</button>)
    render(<AirBand air={air({ spells: [snap] })} act={act} />)
    expect(screen.getAllByRole('listitem')[0]).not.toHaveTextContent('a cold snap')
    expect(screen.getAllByRole('listitem')[1]).toHaveTextContent('a cold snap')
    expect(screen.getByRole('region')).toHaveTextContent(
      'A cold snap, 2 Dec to 4 Dec: 3 days at about -4 °C.',
    )
    expect(screen.getByRole('button', { name: 'Lay it over' })).toBeVisible()
    expect(act).toHaveBeenCalledWith(snap)
  })
})
