/**
 * Soft icing: baked openness and bent normals for the sky, one wrapped key light, light through thin edges, and
 * drag lines along the stroke. Colour is looked up by layer and place, so a new palette needs no new mesh.
 */
export const vertexShader = /* glsl */ `
attribute float place;
attribute float along;
attribute float thick;
attribute float layer;
attribute float openness;
attribute vec3 bent;
uniform float shadows;
varying vec3 vNormal;
varying vec3 vBent;
varying vec2 vStroke;
varying float vThick;
varying float vLayer;
varying float vOpen;
varying vec3 vPosition;
void main() {
  #ifdef USE_INSTANCING
    mat4 placed = modelMatrix * instanceMatrix;
  #else
    mat4 placed = modelMatrix;
  #endif
  vNormal = normalize(mat3(placed) * normal);
  vBent = normalize(mat3(placed) * mix(normal, bent, shadows));
  vStroke = vec2(place, along);
  vThick = thick;
  vLayer = layer;
  vOpen = 1.0 - (1.0 - openness) * shadows;
  vec4 world = placed * vec4(position, 1.0);
  vPosition = world.xyz;
  gl_Position = projectionMatrix * viewMatrix * world;
}
`

export const fragmentShader = /* glsl */ `
precision highp float;
uniform sampler2D palette;
uniform float layers;
uniform vec3 keyLight;
uniform float lines;
varying vec3 vNormal;
varying vec3 vBent;
varying vec2 vStroke;
varying float vThick;
varying float vLayer;
varying float vOpen;
varying vec3 vPosition;

float hash(vec2 p) { return fract(sin(dot(p, vec2(41.3, 289.1))) * 43758.5453); }
float noise(vec2 p) {
  vec2 i = floor(p);
  vec2 f = fract(p);
  f = f * f * (3.0 - 2.0 * f);
  return mix(
    mix(hash(i), hash(i + vec2(1.0, 0.0)), f.x),
    mix(hash(i + vec2(0.0, 1.0)), hash(i + vec2(1.0, 1.0)), f.x), f.y);
}

vec3 loadColour() {
  float layer = floor(vLayer + 0.02);
  float inner = step(0.2, vLayer - layer);
  float x = (layer + 0.5) / layers;
  vec4 first = texture2D(palette, vec2(x, 0.1667));
  vec4 second = texture2D(palette, vec2(x, 0.5));
  vec4 third = texture2D(palette, vec2(x, 0.8333));
  float blur = max(0.02, second.a);
  float wobble = 0.035 * (noise(vec2(vStroke.y * 0.35, layer)) - 0.5) * 2.0;
  // across the slot from its wide end
  vec3 across = mix(first.rgb, second.rgb, smoothstep(first.a - blur, first.a + blur, vStroke.x + wobble));
  if (third.a < 0.5) return across;
  if (third.a < 1.5) return mix(second.rgb, first.rgb, inner);
  // streaks that change along the stroke and from one petal to the next
  float streak = noise(vec2(vStroke.x * 3.2 + layer * 7.0, vStroke.y * 0.09 + vPosition.x * 0.07 + vPosition.y * 0.05));
  float part = smoothstep(first.a - 0.22, first.a + 0.22, streak);
  vec3 mingled = mix(first.rgb, second.rgb, part);
  return mix(mingled, third.rgb, smoothstep(0.62, 0.85, streak) * 0.9);
}

void main() {
  vec3 albedo = loadColour();
  // drag lines: fine across the stroke, long along it
  float drag = noise(vec2(vStroke.x * 46.0 + floor(vLayer + 0.02) * 17.0, vStroke.y * 0.16))
             + 0.5 * noise(vec2(vStroke.x * 97.0, vStroke.y * 0.3)) - 0.75;
  albedo *= 1.0 + lines * 0.07 * drag;
  vec3 geometric = normalize(vNormal) * (gl_FrontFacing ? 1.0 : -1.0);
  vec3 side = normalize(cross(geometric, vec3(0.31, 0.2, 0.93)));
  float open = pow(clamp(vOpen, 0.0, 1.0), 0.72);
  // where strokes touch, both sides of the crease face the same patch of sky: there they merge softly
  float merge = mix(0.3, 0.72, smoothstep(0.55, 0.12, open));
  vec3 n = normalize(mix(geometric + side * lines * 0.09 * drag, vBent, merge));

  // light bounced between petals: a pale colour closes in less than a deep one
  vec3 a = 2.0404 * albedo - 0.3324;
  vec3 b = -4.7951 * albedo + 0.6417;
  vec3 c = 2.7552 * albedo + 0.6903;
  vec3 ao = max(vec3(open), ((open * a + b) * open + c) * open);

  vec3 wrap = vec3(0.42, 0.36, 0.32);
  float towards = dot(n, keyLight);
  vec3 diffuse = clamp((vec3(towards) + wrap) / (1.0 + wrap), 0.0, 1.0);
  float seen = mix(0.45, 1.0, smoothstep(0.0, 0.75, open)) * smoothstep(-0.35, 0.55, dot(vBent, keyLight));
  float sky = 0.72 + 0.28 * n.z;
  vec3 colour = albedo * (0.56 * sky * ao + 0.56 * diffuse * mix(seen, 1.0, 0.25));
  // thin edges let light through from behind
  float thin = exp(-0.95 * vThick) * clamp(-dot(geometric, keyLight) + 0.45, 0.0, 1.0);
  colour += albedo * albedo * thin * 0.28 * ao;
  // a little sheen: icing is moist
  vec3 eye = normalize(cameraPosition - vPosition);
  float gloss = pow(max(0.0, dot(geometric, normalize(keyLight + eye))), 26.0);
  colour += 0.045 * gloss * open;
  colour = mix(colour * 12.92, 1.055 * pow(max(colour, 0.0), vec3(1.0 / 2.4)) - 0.055, step(0.0031308, colour));
  gl_FragColor = vec4(colour, 1.0);
}
`
