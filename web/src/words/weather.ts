import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/weather.json', { eager: true, import: 'default' }))
