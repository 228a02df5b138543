import { learn, type Words } from './say'

learn(import.meta.glob<Words>('./*/sheet.json', { eager: true, import: 'default' }))
