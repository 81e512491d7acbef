# The household's own authority and the certificate this machine serves with: by the JDK's keytool alone. Sourced by the launcher.
#
# A phone that trusts the authority trusts whatever it vouches for, so it vouches for names and addresses of a house alone (name
# constraints, RFC 5280 4.2.1.10), and its key never leaves this folder.

TLS_DIR=$STATE/tls
# Browsers take none that is valid for longer than 398 days; and it is made anew so many days before it ends.
SERVER_DAYS=390
AUTHORITY_DAYS=3650
# What the simulated devices trust holds no secret, and its password stands in their command line for everybody to read.
TRUST_PASSWORD=no-secret
RENEW_DAYS=30

hex() { printf '%s' "$1" | od -An -tx1 | tr -d ' \n'; }

tlv() { # tag, body in hex: one value of DER
  local length=$(( ${#2} / 2 ))
  if [ $length -lt 128 ]; then printf '%s%02x%s' "$1" $length "$2"
  elif [ $length -lt 256 ]; then printf '%s81%02x%s' "$1" $length "$2"
  else printf '%s82%04x%s' "$1" $length "$2"
  fi
}

is_address() { [[ $1 =~ ^[0-9]+\.[0-9]+\.[0-9]+\.[0-9]+$ || $1 == *:* ]]; }

# The names and addresses this machine goes by, and those it was told of.
tls_names() {
  local name
  { printf '%s\n' localhost 127.0.0.1 "$(uname -n)" "$(uname -n).local"
    { hostname -I 2>/dev/null || true; } | tr ' ' '\n' | grep -vE '^(fe80|$)' || true
    case ${CROCK_BIND:-127.0.0.1} in 0.0.0.0 | ::) ;; *) printf '%s\n' "${CROCK_BIND:-127.0.0.1}" ;; esac
    printf '%s\n' "${CROCK_ADDRESS:-}" | sed -nE 's#^https?://([^/:]+).*#\1#p'
    printf '%s\n' ${CROCK_TLS_NAMES:-} "$@"
  } 2>/dev/null | grep -E '^[A-Za-z0-9.:-]+$' | sort -u
}

subject_names() { # names...: as keytool takes them
  local name all=
  for name in "$@"; do
    if is_address "$name"; then all+=",ip:$name"; else all+=",dns:$name"; fi
  done
  printf '%s' "${all#,}"
}

# What the authority may vouch for: names of a house, addresses that are routed nowhere outside, and what was named when it was made.
constraints() {
  local name body=
  for name in localhost local lan home.arpa internal "$@"; do
    is_address "$name" || body+=$(tlv 30 "$(tlv 82 "$(hex "$name")")")
  done
  for name in 7f000000ff000000 0a000000ff000000 ac100000fff00000 c0a80000ffff0000 a9fe0000ffff0000; do body+=$(tlv 30 "$(tlv 87 $name)"); done
  local none=00000000000000000000000000000000
  body+=$(tlv 30 "$(tlv 87 "${none:0:31}1ffffffffffffffffffffffffffffffff")")
  body+=$(tlv 30 "$(tlv 87 "fc${none:2}fe${none:2}")")
  body+=$(tlv 30 "$(tlv 87 "fe80${none:4}ffc0${none:4}")")
  for name in "$@"; do
    [[ ! $name =~ ^([0-9]+)\.([0-9]+)\.([0-9]+)\.([0-9]+)$ ]] || body+=$(tlv 30 "$(tlv 87 "$(printf '%02x%02x%02x%02xffffffff' "${BASH_REMATCH[@]:1}")")")
  done
  tlv 30 "$(tlv a0 "$body")"
}

tool() { keytool "$@" -storepass:file "$TLS_DIR/password" >>"$TLS_DIR/log" 2>&1; }

make_authority() { # names...
  say "Making this household's own authority (once; it is valid for ten years)"
  rm -f "$TLS_DIR"/authority.* "$TLS_DIR"/server.* "$TLS_DIR/trust.p12"
  tool -genkeypair -alias authority -keystore "$TLS_DIR/authority.p12" -storetype PKCS12 -keyalg EC -groupname secp256r1 -sigalg SHA256withECDSA \
    -dname "CN=Velvet Crock at home ($(uname -n)), O=This household" -validity $AUTHORITY_DAYS -ext bc:critical=ca:true,pathlen:0 \
    -ext ku:critical=keyCertSign,cRLSign -ext "2.5.29.30:critical=$(constraints "$@")" &&
    tool -exportcert -rfc -alias authority -keystore "$TLS_DIR/authority.p12" -file "$TLS_DIR/authority.crt" &&
    keytool -importcert -noprompt -alias authority -keystore "$TLS_DIR/trust.p12" -storetype PKCS12 -storepass $TRUST_PASSWORD \
      -file "$TLS_DIR/authority.crt" >>"$TLS_DIR/log" 2>&1
}

make_server_certificate() { # names...
  local new=$TLS_DIR/server.new
  rm -f "$new" "$new".*
  tool -genkeypair -alias server -keystore "$new" -storetype PKCS12 -keyalg EC -groupname secp256r1 -sigalg SHA256withECDSA \
    -dname "CN=$(uname -n)" -validity 2 &&
    tool -certreq -alias server -keystore "$new" -file "$new.csr" &&
    tool -gencert -alias authority -keystore "$TLS_DIR/authority.p12" -infile "$new.csr" -outfile "$new.crt" -rfc -validity $SERVER_DAYS \
      -sigalg SHA256withECDSA -ext "san=$(subject_names "$@")" -ext eku=serverAuth -ext ku:critical=digitalSignature -ext bc=ca:false &&
    tool -importcert -noprompt -alias authority -keystore "$new" -file "$TLS_DIR/authority.crt" &&
    cat "$new.crt" "$TLS_DIR/authority.crt" >"$new.chain" &&
    tool -importcert -noprompt -alias server -keystore "$new" -file "$new.chain" || return 1
  printf '%s\n' "$@" >"$TLS_DIR/names"
  # At one go: who serves by it looks whether it changed.
  mv -f "$new" "$TLS_DIR/server.p12"
  rm -f "$new".*
}

# Seconds until the server's certificate ends; nothing where there is none.
server_lasts() {
  local until
  until=$(keytool -list -v -alias server -keystore "$TLS_DIR/server.p12" -storepass:file "$TLS_DIR/password" -J-Duser.language=en 2>/dev/null |
    sed -nE 's/^Valid from: .* until: (.*)$/\1/p' | head -n 1)
  [ -n "$until" ] && echo $(( $(date -d "$until" +%s) - $(date +%s) ))
}

# Makes what is missing, and anew what ends soon or is served under another name by now.
ensure_certificate() { # [--anew] names...
  local anew= lasts names
  if [ "${1:-}" = --anew ]; then anew=yes; shift; fi
  mapfile -t names < <(tls_names "$@")
  (
    umask 077
    mkdir -p "$TLS_DIR" && chmod 700 "$TLS_DIR"
    [ -s "$TLS_DIR/password" ] || head -c 24 /dev/urandom | od -An -tx1 | tr -d ' \n' >"$TLS_DIR/password"
    : >"$TLS_DIR/log"
    if [ -n "$anew" ] || [ ! -s "$TLS_DIR/authority.crt" ]; then make_authority "${names[@]}" || exit 1; fi
    lasts=$(server_lasts || true)
    if [ -z "$lasts" ] || [ "$lasts" -lt $((RENEW_DAYS * 86400)) ] || [ "$(printf '%s\n' "${names[@]}")" != "$(cat "$TLS_DIR/names" 2>/dev/null)" ]; then
      make_server_certificate "${names[@]}" || exit 1
      say "A new certificate for ${names[*]}; it ends in $SERVER_DAYS days, and is made anew $RENEW_DAYS days before."
    fi
  ) || { tail -n 3 "$TLS_DIR/log" >&2; fail "The certificate could not be made." "see .crock/tls/log; a name the authority may not vouch for needs ./crock certificate --anew NAME"; }
}

fingerprint() {
  keytool -printcert -file "$TLS_DIR/authority.crt" -J-Duser.language=en | sed -nE 's/^[[:space:]]*SHA256: (.*)$/\1/p'
}

certificate() {
  install_missing
  ensure_certificate "$@"
  say "The authority a phone trusts: .crock/tls/authority.crt"
  say "Its fingerprint (SHA-256): $(fingerprint)"
  say "CROCK_TLS=self ./crock run serves by it; the page /trust hands it to the phone and says how."
}

# Serving by it: over TLS on the port, and in the clear on the one after the next what hands the authority over, and nothing else.
serve_by_certificate() {
  ensure_certificate
  export SERVER_SSL_BUNDLE=house SPRING_SSL_BUNDLE_JKS_HOUSE_KEYSTORE_LOCATION="file:$TLS_DIR/server.p12" \
    SPRING_SSL_BUNDLE_JKS_HOUSE_KEYSTORE_TYPE=PKCS12 SPRING_SSL_BUNDLE_JKS_HOUSE_KEY_ALIAS=server SPRING_SSL_BUNDLE_JKS_HOUSE_RELOADONUPDATE=true \
    CROCK_AUTHORITY="$TLS_DIR/authority.crt" CROCK_PLAIN_PORT="$PLAIN_PORT" CROCK_SECURE=true
  SPRING_SSL_BUNDLE_JKS_HOUSE_KEYSTORE_PASSWORD=$(cat "$TLS_DIR/password")
  export SPRING_SSL_BUNDLE_JKS_HOUSE_KEYSTORE_PASSWORD
  SCHEME=https
  TRUSTING=(-Djavax.net.ssl.trustStore="$TLS_DIR/trust.p12" -Djavax.net.ssl.trustStorePassword=$TRUST_PASSWORD)
}

# Beside a running application: what ends soon is made anew, and served without a new start.
renew_daily() {
  while sleep 86400; do ensure_certificate; done
}
