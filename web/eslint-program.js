import { readFileSync } from 'node:fs'
import tsc from 'typescript'
import ts from 'typescript-eslint'
import vue from 'vue-eslint-parser'

/**
 * One program of all files, .vue among them, for the linter. Left to itself it makes the program anew for each .vue
 * file, since the script is not what lies on the disk, and finds all types again: twice the time.
 */
const config = tsc.getParsedCommandLineOfConfigFile(
  `${import.meta.dirname}/tsconfig.json`,
  { allowNonTsExtensions: true },
  {
    ...tsc.sys,
    onUnRecoverableConfigFileDiagnostic: (problem) => {
      throw new Error(tsc.flattenDiagnosticMessageText(problem.messageText, '\n'))
    },
  },
  undefined,
  undefined,
  [{ extension: '.vue', isMixedContent: true, scriptKind: tsc.ScriptKind.Deferred }],
)
const scripts = new Map()

/** The script of a .vue file in the very form in which the linter hands it on; type parameters come with it. */
function scriptOf(file) {
  if (!scripts.has(file)) {
    const [alone = ''] = /<script[^]*?<\/script>/.exec(readFileSync(file, 'utf8')) ?? []
    const parser = {
      parseForESLint(code, options) {
        if (code.length > (scripts.get(file)?.length ?? 0)) scripts.set(file, code)
        return ts.parser.parseForESLint(code, options)
      },
    }
    vue.parseForESLint(alone, { filePath: file, sourceType: 'module', parser: { ts: parser } })
  }
  return scripts.get(file) ?? ''
}

const host = tsc.createCompilerHost(config.options, true)
const { getSourceFile } = host
host.getSourceFile = (file, options, ...more) =>
  file.endsWith('.vue')
    ? tsc.createSourceFile(file, scriptOf(file), options, true, tsc.ScriptKind.TS)
    : getSourceFile(file, options, ...more)

/** Of all files that are linted with their types. */
export const program = tsc.createProgram(config.fileNames, config.options, host)

/** Parses a script as it stands in the program, and what stands in a template without types. */
export const parser = {
  parseForESLint: (code, options) =>
    ts.parser.parseForESLint(code, {
      ...options,
      programs: scripts.get(options.filePath) === code ? [program] : null,
    }),
}
