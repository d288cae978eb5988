<?xml version="1.0"?>
<!-- What of a MARC record is looked up in, and as what. -->
<xsl:stylesheet version="1.0" xmlns:xsl="http://www.w3.org/1999/XSL/Transform" xmlns:m="http://www.loc.gov/MARC21/slim"
  xmlns:z="http://indexdata.com/zebra-2.0" exclude-result-prefixes="m">
  <xsl:template match="/m:record">
    <z:record z:id="{m:controlfield[@tag='001']}">
      <xsl:for-each select="m:datafield[@tag='245']/m:subfield[@code='a']">
        <z:index name="title:w any:w"><xsl:value-of select="."/></z:index>
      </xsl:for-each>
      <xsl:for-each select="m:datafield[@tag='520']/m:subfield[@code='a']">
        <z:index name="description:w any:w"><xsl:value-of select="."/></z:index>
      </xsl:for-each>
      <xsl:for-each select="m:datafield[@tag='653']/m:subfield[@code='a']">
        <z:index name="keyword:w any:w"><xsl:value-of select="."/></z:index>
      </xsl:for-each>
      <xsl:for-each select="m:datafield[@tag='650']/m:subfield[@code='a']">
        <z:index name="subject:p heading:w any:w"><xsl:value-of select="."/></z:index>
      </xsl:for-each>
      <xsl:for-each select="m:datafield[@tag='655']/m:subfield[@code='a']">
        <z:index name="kind:p"><xsl:value-of select="."/></z:index>
      </xsl:for-each>
      <xsl:for-each select="m:datafield[@tag='041']/m:subfield[@code='a']">
        <z:index name="language:w"><xsl:value-of select="."/></z:index>
      </xsl:for-each>
      <xsl:for-each select="m:datafield[@tag='264']/m:subfield[@code='c']">
        <z:index name="year:n"><xsl:value-of select="substring(., 1, 4)"/></z:index>
      </xsl:for-each>
    </z:record>
  </xsl:template>
</xsl:stylesheet>
