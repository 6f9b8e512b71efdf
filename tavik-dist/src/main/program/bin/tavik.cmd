@echo off
rem Runs Tavik on Windows, from any folder.
setlocal

for %%I in ("%~dp0..") do set "TAVIK_HOME=%%~fI"

set "TAVIK_JAVA="
if exist "%TAVIK_HOME%\runtime\bin\java.exe" set "TAVIK_JAVA=%TAVIK_HOME%\runtime\bin\java.exe"
if not defined TAVIK_JAVA if defined JAVA_HOME if exist "%JAVA_HOME%\bin\java.exe" set "TAVIK_JAVA=%JAVA_HOME%\bin\java.exe"
if not defined TAVIK_JAVA for %%I in (java.exe) do set "TAVIK_JAVA=%%~$PATH:I"
if not defined TAVIK_JAVA (
  echo tavik: no Java found; install Java 17 or newer, or set JAVA_HOME to one. 1>&2
  exit /b 4
)

set "TAVIK_FLAGS=-XX:+UseSerialGC -Xmx512m -Xshare:auto -XX:-UsePerfData -XX:TieredStopAtLevel=1"
if defined JAVA_OPTS set "TAVIK_FLAGS=-Xmx512m -Xshare:auto -XX:-UsePerfData %JAVA_OPTS%"

rem Whether the output is a terminal can't be asked here: colours are left out.
"%TAVIK_JAVA%" %TAVIK_FLAGS% -Dtavik.terminal=false -Dtavik.progress=false -Dtavik.person=true -Dtavik.width=%COLUMNS% -Dtavik.name=tavik "-Dtavik.drivers=%TAVIK_HOME%\lib\drivers" -cp "%TAVIK_HOME%\lib\tavik.jar" dev.tavik.cli.Main %*
exit /b %ERRORLEVEL%
