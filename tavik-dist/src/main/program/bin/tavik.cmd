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

rem Which Java this is says the note beside it. An old one would complain in its own words, and long.
set "TAVIK_VERSION="
set "TAVIK_MAJOR="
for %%I in ("%TAVIK_JAVA%") do if exist "%%~dpI..\release" for /f "usebackq tokens=2 delims==" %%V in (`findstr /b /c:"JAVA_VERSION=" "%%~dpI..\release"`) do set "TAVIK_VERSION=%%~V"
for /f "tokens=1 delims=.-+" %%I in ("%TAVIK_VERSION%") do set "TAVIK_MAJOR=%%I"
if not defined TAVIK_MAJOR goto run
if %TAVIK_MAJOR% GEQ 17 goto run
rem Not within parentheses: a path may have one.
echo tavik: Java 17 or newer is needed, %TAVIK_JAVA% is %TAVIK_VERSION%; install one, or set JAVA_HOME to it. 1>&2
exit /b 4

:run
set "TAVIK_FLAGS=-XX:+UseSerialGC -Xmx512m -Xshare:auto -XX:-UsePerfData -XX:TieredStopAtLevel=1"
if defined JAVA_OPTS set "TAVIK_FLAGS=-Xmx512m -Xshare:auto -XX:-UsePerfData %JAVA_OPTS%"

rem Whether the output is a terminal can't be asked here: colours are left out.
"%TAVIK_JAVA%" %TAVIK_FLAGS% -Dtavik.terminal=false -Dtavik.progress=false -Dtavik.person=true -Dtavik.width=%COLUMNS% -Dtavik.name=tavik "-Dtavik.drivers=%TAVIK_HOME%\lib\drivers" -cp "%TAVIK_HOME%\tavik.jar" dev.tavik.cli.Main %*
exit /b %ERRORLEVEL%
