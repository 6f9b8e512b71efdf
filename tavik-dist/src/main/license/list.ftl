What Tavik is built on and handed on with, and under which licences. The texts lie in the folder
licenses of the installable distribution. Made while that is packaged.

<#list dependencyMap as entry>
<#assign artifact = entry.getKey()/>
<#assign licenses = entry.getValue()/>
<#list licenses as license>${license}<#sep>, </#list>: ${artifact.groupId}:${artifact.artifactId}:${artifact.version}
</#list>
Bitstream Vera and Arev: the fonts DejaVu Sans and DejaVu Sans Bold 2.37
