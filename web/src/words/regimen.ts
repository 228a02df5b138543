import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/regimen.json', { eager: true, import: 'default' }))
